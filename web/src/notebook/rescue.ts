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
    for (const key of keysOf(work)) {
      const down = read(localStorage.getItem(key));
      if (down) await store(down.writer, down.entries);
      localStorage.removeItem(key);
    }
  },
};

function keysOf(work: string) {
  try {
    return Object.keys(localStorage).filter((k) => k.startsWith(keyOf(work)));
  } catch {
    // The browser forbids it: then nothing was ever put down.
    return [];
  }
}

/** What somebody else may have put there is passed over: it must not keep the notebook from opening. */
function read(text: string | null): PutDown | undefined {
  try {
    const { writer, entries } = JSON.parse(text ?? '') as Partial<PutDown>;
    const whole = (e: Partial<Entry> | null) =>
      typeof e?.block === 'string' && typeof e.slot === 'string' && typeof e.time === 'string' && !!e.value;
    return typeof writer === 'string' && Array.isArray(entries) && entries.every(whole)
      ? { writer, entries }
      : undefined;
  } catch {
    return undefined;
  }
}
