import { openDB, type DBSchema } from 'idb';

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

/** What is written into a place, before it is on its way. */
export type Entry = Pick<Waiting, 'block' | 'slot' | 'value' | 'time'>;

/** An entry that the server refused for good: kept here, so that what was typed can still be copied. */
export interface Refused {
  id: string;
  work: string;
  block: string;
  slot: string;
  value: Record<string, unknown>;
  reason: string;
}

interface Schema extends DBSchema {
  waiting: { key: string; value: Waiting; indexes: { '[work+order]': [string, number] } };
  refused: { key: string; value: Refused; indexes: { work: string } };
}

// Earlier builds counted the same stores as version 20.
const database = openDB<Schema>('cauldron', 21, {
  upgrade(db) {
    if (!db.objectStoreNames.contains('waiting')) {
      db.createObjectStore('waiting', { keyPath: 'id' }).createIndex('[work+order]', ['work', 'order']);
    }
    if (!db.objectStoreNames.contains('refused'))
      db.createObjectStore('refused', { keyPath: 'id' }).createIndex('work', 'work');
  },
  // A page of a newer build must not wait for this one to be closed.
  blocking(_now, _next, event) {
    (event.target as IDBDatabase).close();
  },
});

// Whoever reads or writes hears of it.
database.catch(() => undefined);

/** All entries of a work, oldest first. */
function ofWork(work: string) {
  return IDBKeyRange.bound([work, -Infinity], [work, Infinity]);
}

/** The journal's part on this device: everything typed is here first. */
export const outbox = {
  /** What waits for one work, oldest first. */
  async of(work: string): Promise<Waiting[]> {
    return (await database).getAllFromIndex('waiting', '[work+order]', ofWork(work));
  },

  /** Adds entries; those of the same slots that were never sent give way to them. */
  async add(work: string, writer: string, entries: Entry[]): Promise<void> {
    const tx = (await database).transaction('waiting', 'readwrite');
    const all = await tx.store.index('[work+order]').getAll(ofWork(work));
    const slots = new Set(entries.map((e) => `${e.block}\n${e.slot}`));
    const last = all.at(-1)?.order ?? 0;
    await Promise.all([
      ...all
        .filter((w) => !w.sent && w.writer === writer && slots.has(`${w.block}\n${w.slot}`))
        .map((w) => tx.store.delete(w.id)),
      ...entries.map((e, i) =>
        tx.store.add({ ...e, work, writer, id: crypto.randomUUID(), order: last + 1 + i, sent: false }),
      ),
      tx.done,
    ]);
  },

  /** The oldest entries of some tabs, marked as sent: from now on nothing typed gives way to them or changes them. */
  async take(work: string, most: number, bytes: number, mine: (writer: string) => boolean): Promise<Waiting[]> {
    const tx = (await database).transaction('waiting', 'readwrite');
    const batch: Waiting[] = [];
    let size = 0;
    for (const w of await tx.store.index('[work+order]').getAll(ofWork(work))) {
      if (!mine(w.writer ?? '')) continue;
      size += JSON.stringify(w.value).length + 300;
      if (batch.length === most || (batch.length > 0 && size > bytes)) break;
      batch.push(w);
    }
    await Promise.all([...batch.map((w) => tx.store.put({ ...w, sent: true })), tx.done]);
    return batch;
  },

  async remove(ids: string[]): Promise<void> {
    const tx = (await database).transaction('waiting', 'readwrite');
    await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done]);
  },

  /** Gives an entry another id: the one it had stands for something else. */
  async renew(id: string): Promise<void> {
    const tx = (await database).transaction('waiting', 'readwrite');
    const entry = await tx.store.get(id);
    const again = entry ? [tx.store.delete(id), tx.store.add({ ...entry, id: crypto.randomUUID(), sent: false })] : [];
    await Promise.all([...again, tx.done]);
  },

  async refused(work: string): Promise<Refused[]> {
    return (await database).getAllFromIndex('refused', 'work', work);
  },

  /** Puts an entry aside that the server won't keep. */
  async refuse(entry: Waiting, reason: string): Promise<void> {
    const tx = (await database).transaction(['waiting', 'refused'], 'readwrite');
    const { id, work, block, slot, value } = entry;
    await Promise.all([
      tx.objectStore('waiting').delete(id),
      tx.objectStore('refused').put({ id, work, block, slot, value, reason }),
      tx.done,
    ]);
  },

  async forget(id: string): Promise<void> {
    await (await database).delete('refused', id);
  },
};
