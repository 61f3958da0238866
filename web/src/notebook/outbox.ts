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
  /** Set before it is sent: the server may have it from then on, so it is never changed again. */
  sent: boolean;
}

const database = new Dexie('cauldron') as Dexie & { waiting: EntityTable<Waiting, 'id'> };
database.version(1).stores({ waiting: 'id, work, [work+order]' });

/** The journal's part on this device: everything typed is here first. */
export const outbox = {
  /** What waits for one work, oldest first. */
  async of(work: string): Promise<Waiting[]> {
    return database.waiting.where('work').equals(work).sortBy('order');
  },

  /** Adds entries; those of the same slots that were never sent give way to them. */
  async add(work: string, entries: Pick<Waiting, 'block' | 'slot' | 'value' | 'time'>[]): Promise<void> {
    await database.transaction('rw', database.waiting, async () => {
      const all = await database.waiting.where('work').equals(work).sortBy('order');
      const slots = new Set(entries.map((e) => `${e.block}\n${e.slot}`));
      await database.waiting.bulkDelete(all.filter((w) => !w.sent && slots.has(`${w.block}\n${w.slot}`)).map((w) => w.id));
      const last = all.at(-1)?.order ?? 0;
      await database.waiting.bulkAdd(entries.map((e, i) => ({ ...e, work, id: crypto.randomUUID(), order: last + 1 + i, sent: false })));
    });
  },

  /** The oldest entries, marked as sent: from now on nothing typed gives way to them or changes them. */
  async take(work: string, most: number): Promise<Waiting[]> {
    return database.transaction('rw', database.waiting, async () => {
      const batch = (await database.waiting.where('work').equals(work).sortBy('order')).slice(0, most);
      await database.waiting.where('id').anyOf(batch.map((w) => w.id)).modify({ sent: true });
      return batch;
    });
  },

  async remove(ids: string[]): Promise<void> {
    await database.waiting.bulkDelete(ids);
  },
};
