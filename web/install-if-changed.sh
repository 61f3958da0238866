#!/usr/bin/env bash
# npm ci takes a while and is needed only when the lock file has changed.
set -eu
cd "$(dirname "$0")"
mark=node_modules/.installed-lock
if ! cmp -s package-lock.json "$mark" 2>/dev/null; then
  npm ci --no-fund --no-audit
  cp package-lock.json "$mark"
fi
