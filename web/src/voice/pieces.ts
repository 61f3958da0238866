import { openDB, type DBSchema } from 'idb';
import pRetry, { AbortError } from 'p-retry';
import { api, ask, Problem } from '../api/client';

/** A few seconds of sound on their way. They leave this device only when the server has them. */
interface Piece {
  work: string;
  block: string;
  voice: string;
  number: number;
  data: ArrayBuffer;
}

interface Schema extends DBSchema {
  pieces: { key: [string, number]; value: Piece; indexes: { work: string } };
}

let opened: ReturnType<typeof openDB<Schema>> | undefined;
const database = () =>
  (opened ??= openDB<Schema>('cauldron-voices', 1, {
    upgrade(db) {
      db.createObjectStore('pieces', { keyPath: ['voice', 'number'] }).createIndex('work', 'work');
    },
    blocking(_now, _next, event) {
      (event.target as IDBDatabase).close();
    },
  }));

/** How many pieces of a work wait on this device, and why they do where something is wrong. */
export interface Waiting {
  pieces: number;
  trouble: string;
}

/** Sends what was spoken in one work, piece by piece and again until the server has it. */
class Post {
  private waiting: Waiting = { pieces: 0, trouble: '' };
  private listeners = new Set<() => void>();
  private sending: Promise<void> | null = null;
  /** Recordings that the server doesn't take. They stay on this device and hold up no other. */
  private readonly refused = new Set<string>();
  private trouble = '';
  private wake: AbortController | null = null;

  constructor(readonly work: string) {
    window.addEventListener('online', () => {
      this.wake?.abort();
      void this.send();
    });
  }

  subscribe = (heard: () => void) => {
    this.listeners.add(heard);
    return () => {
      this.listeners.delete(heard);
    };
  };
  now = () => this.waiting;

  /** Keeps a piece on this device, then sends it. */
  async add(piece: Omit<Piece, 'work'>) {
    await (await database()).put('pieces', { ...piece, work: this.work });
    await this.tell();
    void this.send();
  }

  /** Sends all that waits; one at a time, in order. */
  send(): Promise<void> {
    this.sending ??= this.all().finally(() => {
      this.sending = null;
    });
    return this.sending;
  }

  private async all() {
    for (let next = await this.first(); next; next = await this.first()) {
      const piece = next;
      this.wake = new AbortController();
      try {
        await pRetry(() => this.put(piece), {
          retries: Infinity,
          factor: 2,
          minTimeout: 500,
          maxTimeout: 10_000,
          signal: this.wake.signal,
          onFailedAttempt: () => this.tell(),
        });
      } catch (e) {
        if (this.wake.signal.aborted) continue;
        this.trouble = e instanceof Error ? e.message : String(e);
        await this.tell();
        // Who isn't signed in any more sends the same again once they are.
        if (e instanceof Problem && (e.status === 401 || e.status === 403)) return;
        this.refused.add(piece.voice);
        continue;
      }
      await (await database()).delete('pieces', [piece.voice, piece.number]);
      if (this.refused.size === 0) this.trouble = '';
      await this.tell();
    }
  }

  private async first(): Promise<Piece | undefined> {
    const all = await (await database()).getAllFromIndex('pieces', 'work', this.work);
    const open = all.filter((p) => !this.refused.has(p.voice));
    return open.sort((a, b) => (a.voice === b.voice ? a.number - b.number : a.voice < b.voice ? -1 : 1)).at(0);
  }

  private async put({ voice, number, block, data }: Piece) {
    try {
      await ask(
        api.PUT('/api/works/{workId}/voices/{voiceId}/pieces/{number}', {
          params: { path: { workId: this.work, voiceId: voice, number }, query: { block } },
          body: data as never,
          bodySerializer: (bytes: unknown) => bytes as ArrayBuffer,
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      );
    } catch (e) {
      // Out of reach or busy: again. Anything else needs a person, and the pieces stay here.
      if (e instanceof Problem && e.status >= 400 && e.status < 500 && e.status !== 429 && e.status !== 408)
        throw new AbortError(e);
      throw e;
    }
  }

  private async tell() {
    const pieces = await (await database()).countFromIndex('pieces', 'work', this.work);
    this.waiting = { pieces, trouble: this.trouble };
    this.listeners.forEach((l) => l());
  }
}

const posts = new Map<string, Post>();

/** The post of a work: one for a page, whichever part of it speaks. */
export function postOf(work: string): Post {
  if (!posts.has(work)) posts.set(work, new Post(work));
  return posts.get(work)!;
}

/** Waits until all that was spoken is on the server; false where it takes too long. */
export async function settleVoices(work: string, patience = 8000): Promise<boolean> {
  const post = postOf(work);
  const done = post.send().then(() => post.now().pieces === 0);
  return Promise.race([done, new Promise<boolean>((late) => setTimeout(() => late(false), patience))]);
}
