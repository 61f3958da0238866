import pRetry, { AbortError } from 'p-retry';
import { api, ask, Problem } from '../api/client';
import { outbox } from './outbox';

export type Slots = Record<string, Record<string, Record<string, unknown>>>;

/** Where the data are, told as it is. */
export type Keeping =
  | { state: 'kept'; at: Date | null }
  | { state: 'sending' }
  | { state: 'device'; waiting: number }
  | { state: 'trouble'; waiting: number; reason: string };

export interface Change { slot: string; value: Record<string, unknown> }

export interface Refused { block: string; slot: string; reason: string }

const BATCH = 100;
const WAIT_BEFORE_SENDING = 250;

/**
 * One work's journal in this browser: entries go to IndexedDB first, then to the server, in order,
 * again and again until it says they are kept.
 */
export class Journal {
  private slots: Slots;
  private keeping: Keeping = { state: 'kept', at: null };
  private listeners = new Set<() => void>();
  private sending: Promise<void> | null = null;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private wake: AbortController | null = null;
  private writes: Promise<void> = Promise.resolve();
  private closed = false;
  refused: Refused[] = [];

  constructor(readonly work: string, kept: Slots) {
    this.slots = structuredClone(kept);
  }

  /** Lays what still waits on this device over what the server has, and goes on sending it. */
  async open(): Promise<this> {
    this.closed = false;
    for (const w of await outbox.of(this.work)) this.lay(w.block, w.slot, w.value);
    window.addEventListener('online', this.hurry);
    this.tell();
    this.plan(0);
    return this;
  }

  close() {
    this.closed = true;
    window.removeEventListener('online', this.hurry);
    if (this.timer) clearTimeout(this.timer);
    this.wake?.abort();
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => { this.listeners.delete(listener); };
  };
  all = () => this.slots;
  kept = () => this.keeping;

  read<T>(block: string, slot: string): T | undefined {
    return this.slots[block]?.[slot] as T | undefined;
  }

  /** Takes an entry in. It is on the page at once, on the device in a moment, then on the server. */
  write(block: string, slot: string, value: Record<string, unknown>) {
    this.writeAll(block, [{ slot, value }]);
  }

  /** Takes several entries of one block in together. */
  writeAll(block: string, changes: Change[]) {
    this.slots = { ...this.slots, [block]: { ...this.slots[block], ...Object.fromEntries(changes.map((c) => [c.slot, c.value])) } };
    this.keeping = { state: 'sending' };
    this.tell();
    const time = new Date().toISOString();
    this.writes = this.writes
      .then(() => outbox.add(this.work, changes.map(({ slot, value }) => ({ block, slot, value, time }))))
      .then(() => this.plan(WAIT_BEFORE_SENDING), (e: unknown) => {
        this.set({ state: 'trouble', waiting: 1, reason: `This device can't store entries (${String(e)}). Don't close the page.` });
      });
  }

  /** Waits until all is on the server; refuses after a while, so that the page can say so. */
  async settle(patience = 8000): Promise<boolean> {
    const end = Date.now() + patience;
    while (Date.now() < end) {
      await this.writes;
      this.plan(0);
      if ((await outbox.of(this.work)).length === 0) return true;
      await new Promise((r) => setTimeout(r, 100));
    }
    return false;
  }

  private lay(block: string, slot: string, value: Record<string, unknown>) {
    this.slots = { ...this.slots, [block]: { ...this.slots[block], [slot]: value } };
  }

  private set(keeping: Keeping) {
    this.keeping = keeping;
    this.tell();
  }

  private tell() {
    this.listeners.forEach((l) => l());
  }

  private hurry = () => {
    this.wake?.abort();
    this.plan(0);
  };

  private plan(delay: number) {
    if (this.timer) clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      this.timer = null;
      this.sending ??= this.send().finally(() => { this.sending = null; });
    }, delay);
  }

  private async send() {
    while (!this.closed) {
      const waiting = await outbox.of(this.work);
      if (waiting.length === 0) {
        if (this.keeping.state !== 'kept') this.set({ state: 'kept', at: new Date() });
        return;
      }
      this.wake = new AbortController();
      try {
        await pRetry(() => this.sendBatch(), {
          retries: Infinity, factor: 2, minTimeout: 500, maxTimeout: 10_000, signal: this.wake.signal,
          onFailedAttempt: async () => { this.set({ state: 'device', waiting: (await outbox.of(this.work)).length }); },
        });
      } catch (e) {
        if (this.wake.signal.aborted) continue;
        this.set({ state: 'trouble', waiting: waiting.length, reason: e instanceof Error ? e.message : String(e) });
        return;
      }
    }
  }

  private async sendBatch() {
    const batch = await outbox.take(this.work, BATCH);
    if (batch.length === 0) return;
    try {
      const outcomes = await ask(api.POST('/api/works/{workId}/entries', {
        params: { path: { workId: this.work } },
        body: { entries: batch.map(({ id, block, slot, value, time }) => ({ id, block, slot, value, time })) },
      }));
      for (const o of outcomes) {
        const entry = batch.find((w) => w.id === o.id);
        if (!o.kept && entry) this.refused = [...this.refused, { block: entry.block, slot: entry.slot, reason: o.reason ?? '' }];
      }
      await outbox.remove(outcomes.map((o) => o.id));
    } catch (e) {
      // Out of reach or busy: try again. Anything else needs a person, and the entries stay here.
      if (e instanceof Problem && e.status >= 400 && e.status < 500 && e.status !== 429 && e.status !== 408) throw new AbortError(e);
      throw e;
    }
  }
}
