/** Changes of many slots that go as one entry, and what an entry amounts to. */
export interface Change {
  slot: string;
  value: Record<string, unknown>;
}

export const EDIT = 'edit/';
/** From how many slots on a change is kept as one edit, and about how large one may be. */
const MANY = 12;
const LARGEST = 400_000;

/**
 * The changes as they go to the server: few of them one by one, many as one edit, or as a few where it grows too
 * large.
 */
export function inOneEdit(changes: Change[]): Change[] {
  const single = changes.filter((c) => c.slot === 'seal');
  const rest = changes.filter((c) => c.slot !== 'seal');
  if (rest.length < MANY) return changes;
  const edits: Change[] = [];
  let slots: Record<string, unknown> = {};
  let size = 0;
  const close = () => {
    if (size > 0) edits.push({ slot: `${EDIT}${crypto.randomUUID()}`, value: { slots } });
    slots = {};
    size = 0;
  };
  for (const { slot, value } of rest) {
    const own = slot.length + JSON.stringify(value).length + 6;
    if (size + own > LARGEST) close();
    slots[slot] = value;
    size += own;
  }
  close();
  return [...edits, ...single];
}

/** What an entry changes: itself, or all that its edit holds. */
export function changesOf({ slot, value }: Change): Change[] {
  if (!slot.startsWith(EDIT) || !value.slots) return [{ slot, value }];
  return Object.entries(value.slots as Record<string, Record<string, unknown>>).map(([s, v]) => ({
    slot: s,
    value: v,
  }));
}

/**
 * This tab's rows with those that the other one added, which this one never knew; where nothing was written here,
 * theirs.
 */
export function addedRows(theirs: string[], mine: string[], known: Set<string>, written: boolean): string[] {
  if (!written) return theirs;
  const added = theirs.filter((r) => !known.has(r) && !mine.includes(r));
  return [...mine, ...added];
}
