import type { Entry } from './outbox';

interface PutDown {
  writer: string;
  entries: Entry[];
}

const keyOf = (work: string, writer = '') => `cauldron-rescue-${work}/${writer}`;

/**
 * What a page had not stored yet when it went: put down in one breath in the browser's plain store,
 * since a transaction of the database is given up with the page.
 */
export const rescue = {
  putDown(work: string, writer: string, entries: Entry[]) {
    if (entries.length === 0) return;
    try {
      localStorage.setItem(keyOf(work, writer), JSON.stringify({ writer, entries } satisfies PutDown));
    } catch {
      // The plain store is full or forbidden: then the database's own chance is all there is.
    }
  },

  /** Brings back what was put down, and lets go of it once it is stored. */
  async bringBack(work: string, store: (writer: string, entries: Entry[]) => Promise<void>) {
    for (const key of Object.keys(localStorage).filter((k) => k.startsWith(keyOf(work)))) {
      try {
        const { writer, entries } = JSON.parse(localStorage.getItem(key) ?? '') as PutDown;
        await store(writer, entries);
      } catch (e) {
        if (!(e instanceof SyntaxError)) throw e;
      }
      localStorage.removeItem(key);
    }
  },
};
