import { useEffect, useState, useSyncExternalStore } from 'react';
import { Journal, type Slots } from '../notebook/journal';

/** The journal of a work; `live` false for a reader, whose page never writes. */
export function useJournal(work: string, kept: Slots, seen: number, live: boolean): Journal {
  // Whoever shows another work makes a page anew. The server's answer is the journal's start, not its master.
  const [journal] = useState(() => new Journal(work, kept, seen));
  useEffect(() => {
    if (!live) return;
    void journal.open();
    return () => journal.close();
  }, [journal, live]);
  useSyncExternalStore(journal.subscribe, journal.all);
  useSyncExternalStore(journal.subscribe, journal.kept);
  return journal;
}
