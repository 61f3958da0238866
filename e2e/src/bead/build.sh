#!/usr/bin/env bash
# The pages with one apparatus more, which stands only in tests: its declaration and law are in the core's tests, its
# drawing beside this script. Nothing of the pages is changed.
set -eu
cd "$(dirname "$0")/../.."
web=target/bead/web
rm -rf "$web"
mkdir -p "$web"
cp -r ../web/src ../web/public ../web/index.html ../web/package.json ../web/tsconfig.json ../web/vite.config.ts ../web/delivery.ts "$web/"
ln -s "$(cd ../web && pwd)/node_modules" "$web/node_modules"
cp -r target/bead/generated/. "$web/src/core/generated/"
mkdir -p "$web/src/scenes/bead"
cp src/bead/scene/scene.tsx "$web/src/scenes/bead/"
cd "$web"
node node_modules/typescript-checker/bin/tsc --noEmit
node_modules/.bin/vite build --mode bead --logLevel warn
