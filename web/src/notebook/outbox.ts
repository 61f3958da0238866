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

  /** Adds an entry; one of the same slot that was never sent gives way to it. */
  async add(entry: Omit<Waiting, 'id' | 'order' | 'sent'>): Promise<void> {
    await database.transaction('rw', database.waiting, async () => {
      const all = await database.waiting.where('work').equals(entry.work).sortBy('order');
      const older = all.find((w) => !w.sent && w.block === entry.block && w.slot === entry.slot);
      if (older) await database.waiting.delete(older.id);
      await database.waiting.add({ ...entry, id: crypto.randomUUID(), order: (all.at(-1)?.order ?? 0) + 1, sent: false });
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
