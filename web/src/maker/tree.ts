import { blockForms, labSchema, partSchema, resolved, type BlockForm, type Schema } from '../core/labForm';

/** A sheet as it is written: anything may be wrong in it. */
export type Tree = Record<string, unknown>;

/** Which part, and which of its blocks; the lab itself for neither. */
export interface Spot {
  part?: number;
  block?: number;
}

const isTree = (v: unknown): v is Tree => typeof v === 'object' && v !== null && !Array.isArray(v);
const list = (v: unknown): unknown[] => (Array.isArray(v) ? v : []);
const tree = (v: unknown): Tree => (isTree(v) ? v : {});
const text = (v: unknown) => (typeof v === 'string' ? v : '');

export const partsOf = (sheet: Tree) => list(sheet.parts).map(tree);
export const blocksOf = (part: Tree) => list(part.blocks).map(tree);
export const idOf = (t: Tree) => text(t.id);

/** What a block is known by in a list: its title, its first words, or its name on the sheet. */
export function headingOf(block: Tree) {
  const said = text(block.title) || text(block.prompt) || text(block.markdown) || unsaid(block);
  const words = said.replace(/[*#_]/g, '').replace(/\s+/g, ' ').trim();
  return words.length > 60 ? `${words.slice(0, 58)} …` : words;
}

/** A block that says nothing is known by its kind, anything else by its name on the sheet. */
const unsaid = (block: Tree) => blockForms.find((f) => f.type === block.type)?.name ?? idOf(block);

/** Hides a block from students and keeps it, or shows it again. */
export function hide(sheet: Tree, spot: Spot): Tree {
  const { hidden, ...block } = at(sheet, spot);
  return put(sheet, spot, hidden === true ? block : { ...block, hidden: true });
}

/** What stands at a spot. */
export function at(sheet: Tree, { part, block }: Spot): Tree {
  if (part === undefined) return sheet;
  const found = partsOf(sheet)[part] ?? {};
  return block === undefined ? found : (blocksOf(found)[block] ?? {});
}

/** The sheet with something else at a spot. */
export function put(sheet: Tree, { part, block }: Spot, value: Tree): Tree {
  if (part === undefined) return value;
  const parts = partsOf(sheet);
  const changed =
    block === undefined ? value : { ...parts[part], blocks: replaced(blocksOf(parts[part]), block, value) };
  return { ...sheet, parts: replaced(parts, part, changed) };
}

function replaced(items: Tree[], which: number, value: Tree) {
  return items.map((t, i) => (i === which ? value : t));
}

/** The sheet with a part's blocks, or its parts, in another order or number. */
function relist(sheet: Tree, part: number | undefined, change: (items: Tree[]) => Tree[]): Tree {
  const parts = partsOf(sheet);
  if (part === undefined) return { ...sheet, parts: change(parts) };
  return { ...sheet, parts: replaced(parts, part, { ...parts[part], blocks: change(blocksOf(parts[part])) }) };
}

/** Moves what stands at a spot by one, up or down; a block goes on into the next part. Where it stands then. */
export function move(sheet: Tree, spot: Spot, by: -1 | 1): { sheet: Tree; spot: Spot } {
  const { part, block } = spot;
  if (part === undefined) return { sheet, spot };
  const parts = partsOf(sheet);
  const items = block === undefined ? parts : blocksOf(parts[part]);
  const from = block ?? part;
  const to = from + by;
  if (to >= 0 && to < items.length) {
    const change = (all: Tree[]) => {
      const next = [...all];
      [next[from], next[to]] = [next[to], next[from]];
      return next;
    };
    return {
      sheet: relist(sheet, block === undefined ? undefined : part, change),
      spot: block === undefined ? { part: to } : { part, block: to },
    };
  }
  const other = part + by;
  if (block === undefined || other < 0 || other >= parts.length) return { sheet, spot };
  const into = by > 0 ? 0 : blocksOf(parts[other]).length;
  const moved = at(sheet, spot);
  const without = remove(sheet, spot);
  return { sheet: insert(without, { part: other, block: into }, moved), spot: { part: other, block: into } };
}

/** Moves what stands at a spot before what stands at another; a part before a part, a block anywhere. */
export function moveTo(sheet: Tree, from: Spot, to: Spot): { sheet: Tree; spot: Spot } {
  if (from.block === undefined) {
    if (from.part === undefined || to.part === undefined) return { sheet, spot: from };
    const parts = partsOf(sheet);
    const [moved] = parts.splice(from.part, 1);
    parts.splice(to.part, 0, moved);
    return { sheet: { ...sheet, parts }, spot: { part: to.part } };
  }
  if (to.part === undefined) return { sheet, spot: from };
  const moved = at(sheet, from);
  const without = remove(sheet, from);
  const room = blocksOf(at(without, { part: to.part })).length;
  const spot = { part: to.part, block: Math.min(to.block ?? room, room) };
  return { sheet: insert(without, spot, moved), spot };
}

export function remove(sheet: Tree, { part, block }: Spot): Tree {
  return relist(sheet, block === undefined ? undefined : part, (items) =>
    items.filter((_, i) => i !== (block ?? part)),
  );
}

export function insert(sheet: Tree, { part, block }: Spot, value: Tree): Tree {
  return relist(sheet, block === undefined ? undefined : part, (items) => [
    ...items.slice(0, block ?? part),
    value,
    ...items.slice(block ?? part),
  ]);
}

/** A name on the sheet that no other has. */
export function freeId(sheet: Tree, wish: string): string {
  const taken = new Set(partsOf(sheet).flatMap((p) => [idOf(p), ...blocksOf(p).map(idOf)]));
  if (!taken.has(wish)) return wish;
  const stem = wish.replace(/-\d+$/, '');
  let n = 2;
  while (taken.has(`${stem}-${n}`)) n++;
  return `${stem}-${n}`;
}

/** Fields by which one block speaks of another. */
const SPEAKING = ['table', 'restsOn', 'bench', 'films'];

/** A block that speaks of the copies of what it spoke of. */
function renamed(value: unknown, names: Record<string, string>): unknown {
  if (Array.isArray(value)) return value.map((v) => renamed(v, names));
  if (!isTree(value)) return value;
  return Object.fromEntries(
    Object.entries(value).map(([field, v]) => [
      field,
      SPEAKING.includes(field) && typeof v === 'string' ? (names[v] ?? v) : renamed(v, names),
    ]),
  );
}

/** The same once more, right below, under a name of its own; a part with all its blocks. */
export function copy(sheet: Tree, spot: Spot): Tree {
  const one = at(sheet, spot);
  const own = { ...one, id: freeId(sheet, idOf(one)) };
  if (spot.block !== undefined) return insert(sheet, { part: spot.part, block: spot.block + 1 }, own);
  const part = spot.part! + 1;
  let next = insert(sheet, { part }, { ...own, blocks: [] });
  const names: Record<string, string> = {};
  blocksOf(one).forEach((b, block) => {
    names[idOf(b)] = freeId(next, idOf(b));
    next = insert(next, { part, block }, { ...b, id: names[idOf(b)] });
  });
  return put(
    next,
    { part },
    { ...at(next, { part }), blocks: blocksOf(at(next, { part })).map((b) => renamed(b, names)) },
  );
}

/** What a schema asks for at least, empty. */
export function empty(schema: Schema): unknown {
  const s = resolved(schema);
  if (s.const !== undefined) return s.const;
  if (s.enum) return s.enum[0];
  if (s.type === 'array') return [];
  if (s.type === 'boolean') return false;
  if (s.type === 'number' || s.type === 'integer') return Math.max(0, s.minimum ?? 0);
  if (s.type === 'string') return '';
  if (!s.properties) return {};
  return Object.fromEntries((s.required ?? []).map((f) => [f, empty(s.properties![f])]));
}

export function newBlock(sheet: Tree, form: BlockForm): Tree {
  return { ...(empty(form.schema) as Tree), id: freeId(sheet, form.type) };
}

export function newPart(sheet: Tree): Tree {
  return { ...(empty(partSchema) as Tree), id: freeId(sheet, 'part'), kind: 'measure', title: 'New part' };
}

/** The lab's own fields, without its parts. */
export const labFields: Schema = {
  ...labSchema,
  properties: Object.fromEntries(
    Object.entries(labSchema.properties!).filter(([f]) => f !== 'parts' && f !== 'version'),
  ),
};

export const partFields: Schema = {
  ...partSchema,
  properties: Object.fromEntries(Object.entries(partSchema.properties!).filter(([f]) => f !== 'blocks')),
};

/** Where a fault is, as the core names its place: `part measure, block g, key`. */
export function spotOf(sheet: Tree, place: string): Spot {
  const parts = partsOf(sheet);
  const block = /\bblock ([^,:]+)/.exec(place)?.[1];
  const part = /\bpart ([^,:]+)/.exec(place)?.[1];
  for (let i = 0; i < parts.length; i++) {
    const found = block === undefined ? -1 : blocksOf(parts[i]).findIndex((b) => idOf(b) === block);
    if (found >= 0 && (part === undefined || idOf(parts[i]) === part)) return { part: i, block: found };
  }
  const which = part === undefined ? -1 : parts.findIndex((p) => idOf(p) === part);
  return which < 0 ? {} : { part: which };
}
