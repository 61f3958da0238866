import Dexie, { type EntityTable } from 'dexie';

/** One entry on its way. It leaves this store only when the server says that it is kept. */
export interface Waiting {
  id: string;
  order: number;
  work: string;
  block: string;
  slot: string;
  value: Record<string, unknown>;
  time: string;
  /** The tab that wrote it, which also sends it. */
  writer: string;
  /** Set before it is sent: the server may have it from then on, so it is never changed again. */
  sent: boolean;
}

/** An entry that the server refused for good: kept here, so that what was typed can still be copied. */
export interface Refused { id: string; work: string; block: string; slot: string; value: Record<string, unknown>; reason: string }

const database = new Dexie('cauldron') as Dexie & { waiting: EntityTable<Waiting, 'id'>; refused: EntityTable<Refused, 'id'> };
database.version(1).stores({ waiting: 'id, work, [work+order]' });
database.version(2).stores({ waiting: 'id, work, [work+order]', refused: 'id, work' });

/** The journal's part on this device: everything typed is here first. */
export const outbox = {
  /** What waits for one work, oldest first. */
  async of(work: string): Promise<Waiting[]> {
    return database.waiting.where('work').equals(work).sortBy('order');
  },

  /** Adds entries; those of the same slots that were never sent give way to them. */
  async add(work: string, writer: string, entries: Pick<Waiting, 'block' | 'slot' | 'value' | 'time'>[]): Promise<void> {
    await database.transaction('rw', database.waiting, async () => {
      const all = await database.waiting.where('work').equals(work).sortBy('order');
      const slots = new Set(entries.map((e) => `${e.block}\n${e.slot}`));
      await database.waiting.bulkDelete(all.filter((w) => !w.sent && w.writer === writer && slots.has(`${w.block}\n${w.slot}`)).map((w) => w.id));
      const last = all.at(-1)?.order ?? 0;
      await database.waiting.bulkAdd(entries.map((e, i) => ({ ...e, work, writer, id: crypto.randomUUID(), order: last + 1 + i, sent: false })));
    });
  },

  /** The oldest entries of some tabs, marked as sent: from now on nothing typed gives way to them or changes them. */
  async take(work: string, most: number, bytes: number, mine: (writer: string) => boolean): Promise<Waiting[]> {
    return database.transaction('rw', database.waiting, async () => {
      const batch: Waiting[] = [];
      let size = 0;
      for (const w of await database.waiting.where('work').equals(work).sortBy('order')) {
        if (!mine(w.writer ?? '')) continue;
        size += JSON.stringify(w.value).length + 300;
        if (batch.length === most || (batch.length > 0 && size > bytes)) break;
        batch.push(w);
      }
      await database.waiting.where('id').anyOf(batch.map((w) => w.id)).modify({ sent: true });
      return batch;
    });
  },

  async remove(ids: string[]): Promise<void> {
    await database.waiting.bulkDelete(ids);
  },

  /** Gives an entry another id: the one it had stands for something else. */
  async renew(id: string): Promise<void> {
    await database.transaction('rw', database.waiting, async () => {
      const entry = await database.waiting.get(id);
      if (!entry) return;
      await database.waiting.delete(id);
      await database.waiting.add({ ...entry, id: crypto.randomUUID(), sent: false });
    });
  },

  async refused(work: string): Promise<Refused[]> {
    return database.refused.where('work').equals(work).toArray();
  },

  /** Puts an entry aside that the server won't keep. */
  async refuse(entry: Waiting, reason: string): Promise<void> {
    await database.transaction('rw', database.waiting, database.refused, async () => {
      await database.waiting.delete(entry.id);
      const { id, work, block, slot, value } = entry;
      await database.refused.put({ id, work, block, slot, value, reason });
    });
  },

  async forget(id: string): Promise<void> {
    await database.refused.delete(id);
  },
};
