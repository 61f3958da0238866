import pRetry, { AbortError } from 'p-retry';
import { api, ask, Problem, type Schemas } from '../api/client';
import { outbox, type Entry, type Refused, type Waiting } from './outbox';
import { rescue } from './rescue';
import { addedRows, changesOf, EDIT, inOneEdit, type Change } from './edits';

export type Slots = Record<string, Record<string, Record<string, unknown>>>;
export type { Change } from './edits';
export type { Refused } from './outbox';

/** Where the data are, told as it is. */
export type Keeping =
  | { state: 'kept'; at: Date | null }
  | { state: 'sending' }
  | { state: 'device'; waiting: number }
  | { state: 'trouble'; waiting: number; reason: string; signedOut?: boolean };

/** What another tab or device wrote into a place that was also written here, unseen by each other. */
export interface Overlap {
  block: string;
  slot: string;
  theirs: Record<string, unknown>;
}

const BATCH = 100;
const BATCH_BYTES = 800_000;
const WAIT_BEFORE_SENDING = 250;
/** Slots of which the newest is good enough: nobody typed them. */
const SILENT = /^(view|seal|markers\/|trial\/|columns|rows)/;

/**
 * One work's journal in this browser: entries go to IndexedDB first, then to the server, in order,
 * again and again until it says they are kept. Other tabs and devices of the same student are heard of
 * with each answer, from tabs of this browser at once, and when the page is looked at again.
 */
export class Journal {
  private slots: Slots;
  private keeping: Keeping = { state: 'kept', at: null };
  private listeners = new Set<() => void>();
  private sending: Promise<void> | null = null;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private wake: AbortController | null = null;
  private writes: Promise<void> = Promise.resolve();
  /** Written, but not on the device yet. */
  private storing: Entry[] = [];
  /** The last try to send didn't get through. */
  private apart = false;
  private closed = false;
  private channel: BroadcastChannel | null = null;
  private letGo: (() => void) | null = null;
  /** All rows of each table that this tab ever knew: what another one has beyond them was added there. */
  private knownRows: Record<string, Set<string>> = {};
  readonly writer = crypto.randomUUID().slice(0, 8);
  refused: Refused[] = [];
  overlaps: Overlap[] = [];

  constructor(
    readonly work: string,
    kept: Slots,
    private seen = 0,
  ) {
    this.slots = structuredClone(kept);
    for (const [block, slots] of Object.entries(kept)) this.know(block, slots.rows);
  }

  /** Lays what still waits on this device over what the server has, and goes on sending it. */
  async open(): Promise<this> {
    this.closed = false;
    await rescue.bringBack(this.work, (writer, entries) => outbox.add(this.work, writer, entries));
    for (const w of await outbox.of(this.work)) this.lay(w.block, w.slot, w.value);
    this.refused = await outbox.refused(this.work);
    window.addEventListener('online', this.hurry);
    window.addEventListener('focus', this.catchUp);
    window.addEventListener('pagehide', this.leave);
    document.addEventListener('visibilitychange', this.catchUp);
    if ('BroadcastChannel' in window) {
      this.channel = new BroadcastChannel(`cauldron-work-${this.work}`);
      this.channel.onmessage = () => {
        void this.catchUp();
      };
    }
    // Held as long as this tab lives: what a tab left behind that is gone is sent by another.
    void navigator.locks?.request(
      this.lockOf(this.writer),
      () =>
        new Promise<void>((done) => {
          this.letGo = done;
        }),
    );
    this.tell();
    this.plan(0);
    return this;
  }

  close() {
    this.closed = true;
    window.removeEventListener('online', this.hurry);
    window.removeEventListener('focus', this.catchUp);
    window.removeEventListener('pagehide', this.leave);
    document.removeEventListener('visibilitychange', this.catchUp);
    this.channel?.close();
    this.letGo?.();
    if (this.timer) clearTimeout(this.timer);
    this.wake?.abort();
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => {
      this.listeners.delete(listener);
    };
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

  /** Takes several entries of one block in together; many are one edit, kept as one. */
  writeAll(block: string, changes: Change[]) {
    this.layAll(block, changes);
    this.keeping = { state: 'sending' };
    this.tell();
    const time = new Date().toISOString();
    const entries = inOneEdit(changes).map(({ slot, value }) => ({ block, slot, value, time }));
    this.storing.push(...entries);
    this.writes = this.writes
      .then(() => outbox.add(this.work, this.writer, entries))
      .then(
        () => this.stored(entries),
        (e: unknown) => {
          this.set({
            state: 'trouble',
            waiting: 1,
            reason: `This device can't store entries (${String(e)}). Don't close the page.`,
          });
        },
      );
  }

  private async stored(entries: Entry[]) {
    this.storing = this.storing.filter((e) => !entries.includes(e));
    this.plan(WAIT_BEFORE_SENDING);
    if (this.apart) await this.tellApart();
  }

  /** Says that all is on this device, once it is. */
  private async tellApart() {
    const waiting = (await outbox.of(this.work)).length;
    if (this.apart && this.storing.length === 0) this.set({ state: 'device', waiting });
  }

  /** A page that goes gives the device no time: what is not stored yet is put down where that takes none. */
  private leave = () => rescue.putDown(this.work, this.writer, this.storing);

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

  /** Takes what the other tab or device wrote in place of what was written here, or leaves it. */
  resolve(overlap: Overlap, theirs: boolean) {
    this.overlaps = this.overlaps.filter((o) => o !== overlap);
    if (theirs) this.write(overlap.block, overlap.slot, overlap.theirs);
    else this.tell();
  }

  /** Lets go of an entry that can't be kept, once its student has seen it. */
  async forget(id: string) {
    await outbox.forget(id);
    this.refused = this.refused.filter((r) => r.id !== id);
    this.tell();
  }

  /** Asks what others wrote. */
  catchUp = async () => {
    if (this.closed || document.visibilityState === 'hidden') return;
    try {
      const news = await ask(
        api.GET('/api/works/{workId}/entries', {
          params: { path: { workId: this.work }, query: { writer: this.writer, seen: this.seen } },
        }),
      );
      await this.hear(news);
    } catch {
      // Out of reach: it is asked again when the page is looked at again, and told with the next answer.
    }
  };

  /** Lays over what others wrote, but for places that were written here, too: of those both versions stay in reach. */
  private async hear({ news, seen }: Pick<Schemas['KeptView'], 'news' | 'seen'>) {
    this.seen = Math.max(this.seen, seen);
    if (news.length === 0) return;
    const waiting = new Set(
      (await outbox.of(this.work)).flatMap((w) => changesOf(w).map((c) => `${w.block}\n${c.slot}`)),
    );
    for (const entry of news) {
      for (const { slot, value } of changesOf(entry)) {
        const place = `${entry.block}\n${slot}`;
        const mine = this.read<Record<string, unknown>>(entry.block, slot);
        if (slot === 'rows') {
          this.mergeRows(entry.block, value, waiting.has(place));
        } else if (waiting.has(place) && JSON.stringify(mine) !== JSON.stringify(value)) {
          if (!SILENT.test(slot))
            this.overlaps = [
              ...this.overlaps.filter((o) => o.block !== entry.block || o.slot !== slot),
              { block: entry.block, slot, theirs: value },
            ];
        } else {
          this.lay(entry.block, slot, value);
        }
      }
    }
    this.tell();
  }

  /** Rows that another tab added stay, whatever this one makes of its own. */
  private mergeRows(block: string, theirs: Record<string, unknown>, written: boolean) {
    const mine = this.read<{ order?: string[]; issued?: number }>(block, 'rows');
    const merged = addedRows(
      (theirs.order as string[]) ?? [],
      mine?.order ?? [],
      this.knownRows[block] ?? new Set(),
      written,
    );
    const issued = Math.max(mine?.issued ?? 0, (theirs.issued as number | undefined) ?? 0);
    if (written && merged.length !== mine?.order?.length) this.write(block, 'rows', { order: merged, issued });
    else if (!written) this.lay(block, 'rows', theirs);
    this.know(block, theirs);
  }

  private know(block: string, rows?: Record<string, unknown>) {
    if (rows && Array.isArray(rows.order))
      this.knownRows[block] = new Set([...(this.knownRows[block] ?? []), ...(rows.order as string[])]);
  }

  private lay(block: string, slot: string, value: Record<string, unknown>) {
    this.layAll(block, changesOf({ slot, value }));
  }

  private layAll(block: string, changes: Change[]) {
    const own = { ...this.slots[block] };
    for (const c of changes) own[c.slot] = c.value;
    this.slots = { ...this.slots, [block]: own };
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
      this.sending ??= this.send().finally(() => {
        this.sending = null;
      });
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
        const sent = await pRetry(() => this.sendBatch(), {
          retries: Infinity,
          factor: 2,
          minTimeout: 500,
          maxTimeout: 10_000,
          signal: this.wake.signal,
          onFailedAttempt: async () => {
            this.apart = true;
            await this.tellApart();
          },
        });
        this.apart = false;
        // What is left belongs to another tab that is at work.
        if (!sent) {
          this.plan(2000);
          return;
        }
      } catch (e) {
        if (this.wake.signal.aborted) continue;
        this.apart = false;
        this.set({
          state: 'trouble',
          waiting: waiting.length,
          reason: e instanceof Error ? e.message : String(e),
          signedOut: e instanceof Problem && e.status === 401,
        });
        return;
      }
    }
  }

  private lockOf(writer: string) {
    return `cauldron-tab-${writer}`;
  }

  /** Which tabs' entries this one sends: its own, and those of tabs that are gone. */
  private async mine(): Promise<(writer: string) => boolean> {
    if (!navigator.locks?.query) return () => true;
    const held = new Set((await navigator.locks.query()).held?.map((l) => l.name));
    return (writer) => writer === this.writer || !held.has(this.lockOf(writer));
  }

  /** Sends a batch; false where there was nothing of this tab's to send. */
  private async sendBatch(): Promise<boolean> {
    const batch = await outbox.take(this.work, BATCH, BATCH_BYTES, await this.mine());
    if (batch.length === 0) return false;
    try {
      const kept = await ask(
        api.POST('/api/works/{workId}/entries', {
          params: { path: { workId: this.work } },
          body: {
            writer: this.writer,
            seen: this.seen,
            entries: batch.map(({ id, block, slot, value, time }) => ({ id, block, slot, value, time })),
          },
        }),
      );
      // News first: what overlaps is told by what still waits.
      await this.hear(kept);
      await this.settleOutcomes(batch, kept.outcomes);
      this.channel?.postMessage('kept');
      return true;
    } catch (e) {
      // Out of reach or busy: try again. Anything else needs a person, and the entries stay here.
      if (e instanceof Problem && e.status >= 400 && e.status < 500 && e.status !== 429 && e.status !== 408)
        throw new AbortError(e);
      throw e;
    }
  }

  private async settleOutcomes(batch: Waiting[], outcomes: Schemas['OutcomeView'][]) {
    const kept: string[] = [];
    for (const entry of batch) {
      const o = outcomes.find((x) => x.id === entry.id);
      if (o?.kept) {
        kept.push(entry.id);
        if (entry.slot === 'rows') this.know(entry.block, entry.value);
        if (entry.slot.startsWith(EDIT)) this.know(entry.block, changesOf(entry).find((c) => c.slot === 'rows')?.value);
      } else if (o?.taken) {
        await outbox.renew(entry.id);
      } else if (o) {
        await outbox.refuse(entry, o.reason ?? '');
        this.refused = await outbox.refused(this.work);
      }
    }
    await outbox.remove(kept);
    if (kept.length !== batch.length) this.tell();
  }
}
