import { readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import type { Plugin } from 'vite';

/*
 * How the built files reach a slow device: packed once, here, instead of by the server for every student anew, and with
 * a word to the browser about which of them are worth compiling at once.
 */

const br = promisify(brotliCompress);
const gz = promisify(gzip);

/** A smaller file fits into the packet that its headers need anyway. */
const WORTH_PACKING = 1000;

/** Lays beside each text file of the build the same in Brotli and gzip, which the server sends to whoever can read it. */
export function packed(): Plugin {
  let out = '';
  return {
    name: 'packed',
    // Pages that only a test opens aren't sent far.
    apply: (_, { command, mode }) => command === 'build' && mode === 'production',
    configResolved: (config) => {
      out = join(config.root, config.build.outDir, config.build.assetsDir);
    },
    closeBundle: async () => {
      const files = (await readdir(out)).filter((name) => /\.(js|css|svg)$/.test(name));
      await Promise.all(
        files.map(async (name) => {
          const plain = await readFile(join(out, name));
          if (plain.length < WORTH_PACKING) return;
          await writeFile(
            join(out, `${name}.br`),
            await br(plain, { params: { [constants.BROTLI_PARAM_SIZE_HINT]: plain.length } }),
          );
          await writeFile(join(out, `${name}.gz`), await gz(plain, { level: 9 }));
        }),
      );
    },
  };
}

/**
 * Most of what stands in these is run before a lab can be worked with. Without a word the browser compiles a function
 * when it is first called, one after the other and in the way of everything else; with it, all of a file beside its
 * fetching. (V8's explicit compile hints; to other browsers it is a comment.)
 */
const AT_ONCE = new Set(['index', 'WorkPage', 'core', 'things', 'axes', 'menus']);

export function compiledAtOnce(): Plugin {
  return {
    name: 'compiled-at-once',
    enforce: 'post',
    generateBundle: {
      // The word counts only on the first line, so it comes after all that others write there.
      order: 'post',
      handler: (_, bundle) => {
        for (const file of Object.values(bundle))
          if (file.type === 'chunk' && AT_ONCE.has(file.name)) file.code = `//# allFunctionsCalledOnLoad\n${file.code}`;
      },
    },
  };
}

/**
 * Files that are always fetched together are one file: on a slow device each costs about as much as what is in it.
 * What stands in none of these the bundler shares out by itself.
 */
export const together = {
  groups: [
    // What every page begins with.
    { name: 'frame', tags: ['$initial' as const], priority: 4 },
    // The core's notebook and what asks for nothing but it: pages about labs need them, lists of people don't.
    {
      name: 'core',
      test: /src[\\/](core[\\/](generated[\\/]notebook|quantities|sheets|tables|manifests|index\.ts|time|words)|picture[\\/]picture|scenes[\\/](index|useApparatus))/,
      minShareCount: 2,
      priority: 3,
    },
    {
      name: 'bits',
      test: /lucide-react[\\/].*icons|src[\\/]ui[\\/](save|svgFile|useSize)/,
      minShareCount: 2,
      priority: 2,
    },
    { name: 'menus', test: /radix-ui[\\/]react-(menu|dropdown-menu|roving-focus)/, minShareCount: 2, priority: 2 },
    { name: 'axes', test: /node_modules[\\/]d3-|src[\\/]graph[\\/]model/, minShareCount: 2, priority: 2 },
    // What lies on a bench and in a notebook, wherever one is opened.
    {
      name: 'things',
      test: /node_modules[\\/](idb|p-retry|@tanstack[\\/](react-virtual|virtual-core))|src[\\/](notebook[\\/](journal|outbox|edits|notes|table\.ts)|blocks|instruments|films|picture[\\/]Stage)/,
      minShareCount: 2,
      priority: 1,
    },
  ],
};
