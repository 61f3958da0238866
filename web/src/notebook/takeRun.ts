import { convert, type ColumnSpec, type RunTable } from '../core';
import type { Change } from './journal';
import type { Edits } from './useEdits';
import { nextRow, rowsChange, type NotebookTable, type Reading } from './table';

const MOST_ROWS = 20_000;

type RunColumn = RunTable['columns'][number];

/** What became of a run's table that went into the notebook. */
export interface Taken {
  trouble?: string;
  /** Rows that stand in the notebook now, those included that stood there before. */
  rows: number;
  /** How many of them are new. */
  fresh: number;
  /** Columns of the run, by name, that the notebook's table has none for. */
  left: string[];
  /** Columns of the lab's own, by name, that nothing went into: they are for the student to type. */
  empty: string[];
}

/**
 * Which column of a table takes in which of a run's, at most one each. A column that says what it takes gets the
 * first of that; one that says nothing gets what has its symbol, or its name where it holds words, in a unit of one
 * kind.
 */
export function columnsFor(
  columns: ColumnSpec[],
  heads: RunColumn[],
  asked: ColumnSpec[] = [],
): (ColumnSpec | undefined)[] {
  const fits = heads.map((): ColumnSpec | undefined => undefined);
  const typed = columns.filter((c) => c.kind === 'label' || c.kind === 'measured');
  const given = (c: ColumnSpec, found: number) => {
    if (found >= 0) fits[found] = c;
  };
  // What the lab says of its columns holds, also where a student has changed a name or a symbol.
  const takes = (c: ColumnSpec) => asked.find((a) => a.id === c.id)?.takes ?? c.takes ?? [];
  for (const c of typed)
    for (const id of takes(c)) {
      const at = heads.findIndex((head, i) => !fits[i] && head.id === id && holds(c, head));
      if (at < 0) continue;
      given(c, at);
      break;
    }
  for (const c of typed)
    if (takes(c).length === 0)
      given(
        c,
        heads.findIndex((head, i) => !fits[i] && alike(c, head) && holds(c, head)),
      );
  // Where the lab says nothing, the only words that are left go where the only words are missing.
  if (typed.every((c) => takes(c).length === 0)) {
    const missing = typed.filter((c) => c.kind === 'label' && !fits.includes(c));
    const left = heads.flatMap((head, i) => (head.label && !fits[i] && !BESIDE.includes(head.id) ? [i] : []));
    if (fits.some(Boolean) && missing.length === 1 && left.length === 1) given(missing[0], left[0]);
  }
  return fits;
}

const plain = (text: string) => text.trim().toLowerCase();

function alike(c: ColumnSpec, head: RunColumn) {
  return c.kind === 'label' ? head.label && plain(c.name) === plain(head.name) : c.symbol === head.symbol;
}

/** Whether what stands in a run's column can stand in another: words but among numbers, numbers by their unit. */
function holds(c: ColumnSpec, head: RunColumn) {
  if (c.kind === 'label') return true;
  if (head.label) return false;
  return c.unit === head.unit || 'texts' in convert(['1'], head.unit, c.unit);
}

/**
 * The changes that take a run's table in below what stands there; of a row that stands there already only the gaps are
 * filled.
 */
function takeIn(
  table: NotebookTable,
  { columns: all, rows: whole, times }: RunTable,
  reading: (time: number, row: number) => Reading,
  { asked = [], ownColumns = false }: { asked?: ColumnSpec[]; ownColumns?: boolean },
): Taken & { changes: Change[] } {
  const order = table.rows.map((r) => r.id);
  const readings = whole.map((_, i) => reading(times[i], i));
  const places = knownRows(table, readings);
  const fresh = places.filter((id) => !id).length;
  if (order.length + fresh > MOST_ROWS)
    return {
      trouble: `A table takes at most ${MOST_ROWS} rows; with these it would have ${order.length + fresh}.`,
      ...{ rows: 0, fresh: 0, left: [], empty: [], changes: [] },
    };
  const fits = columnsFor(table.columns, all, asked);
  const some = fits.some(Boolean);
  const taken = new Set(table.columns.map((c) => c.symbol));
  const added: ColumnSpec[] = [];
  // A table that has a place for some of it gets no other columns unasked: rows of the lab's own stay what they are.
  const into = all.map((head, j) => fits[j] ?? (!some || ownColumns ? freshFor(head, taken, added) : undefined));
  const next = [...order];
  let ahead = 0;
  const ids = places.map((id) => {
    if (id) return id;
    const made = nextRow(table, ahead++);
    next.push(made);
    return made;
  });
  const cells: Change[] = [];
  all.forEach((head, j) => {
    const c = into[j];
    if (!c) return;
    const said = whole.map((line) => line[j]);
    const answer = head.label || head.unit === c.unit ? null : convert(said, head.unit, c.unit);
    const texts = answer && 'texts' in answer ? answer.texts : said;
    texts.forEach((text, i) => {
      if (text === '' || table.cells[`${ids[i]}/${c.id}`]?.text) return;
      const value = { text, ...(c.kind === 'measured' && { reading: readings[i] }) };
      cells.push({ slot: `cell/${ids[i]}/${c.id}`, value });
    });
  });
  const columns: Change[] = added.length ? [{ slot: 'columns', value: { columns: [...table.columns, ...added] } }] : [];
  const own = asked.length ? asked.filter((a) => table.columns.some((c) => c.id === a.id)) : table.columns;
  return {
    rows: whole.length,
    fresh,
    left: all.filter((head, j) => !into[j] && !BESIDE.includes(head.id)).map((head) => head.name),
    empty: own
      .filter((c) => (c.kind === 'label' || c.kind === 'measured') && !into.some((one) => one?.id === c.id))
      .map((c) => c.name || c.symbol),
    changes: cells.length ? [...columns, ...(fresh ? [rowsChange(table, next)] : []), ...cells] : [],
  };
}

/** Takes in a table of a run, or of trials, as one step; tells what became of it. */
export function takeRun(
  table: NotebookTable,
  edits: Pick<Edits, 'apply'>,
  run: RunTable,
  reading: (time: number, row: number) => Reading,
  how: { asked?: ColumnSpec[]; ownColumns?: boolean } = {},
): Taken {
  const { changes, ...taken } = takeIn(table, run, reading, how);
  if (changes.length > 0) edits.apply(changes);
  return taken;
}

/** Columns that only say which row it is; nobody misses them where there is no place for them. */
const BESIDE = ['trial', 'time', 'step', 'event', 'done'];

/** The row that was read at the same moment of the same trial; none where several rows are of one moment. */
function knownRows(table: NotebookTable, readings: Reading[]) {
  const keyOf = (r: Reading) => `${r.trial} ${Math.round(r.frame * 1e6)}`;
  const once = new Set(readings.map(keyOf)).size === readings.length;
  const known = new Map<string, string>();
  if (once)
    for (const row of table.rows)
      for (const c of table.columns) {
        const made = table.cells[`${row.id}/${c.id}`]?.reading;
        if (made && !known.has(keyOf(made))) known.set(keyOf(made), row.id);
      }
  return readings.map((r) => known.get(keyOf(r)));
}

/** A new column for one of a run, with a symbol that none has yet. */
function freshFor(head: RunColumn, taken: Set<string>, fresh: ColumnSpec[]): ColumnSpec {
  let { symbol } = head;
  for (let n = 2; taken.has(symbol); n++) symbol = `${head.symbol.split('_')[0]}_${n}`;
  taken.add(symbol);
  const column: ColumnSpec = {
    id: `run-${head.id.replaceAll('.', '-')}-${crypto.randomUUID().slice(0, 6)}`,
    name: head.name,
    symbol,
    unit: head.unit,
    kind: head.label ? 'label' : 'measured',
  };
  fresh.push(column);
  return column;
}

/** What is said of rows that went into the notebook. */
export function takenWords({ rows, fresh, left, empty }: Taken, title: string) {
  const said = [
    fresh === 0
      ? rows === 1
        ? `The row stood in “${title}” already.`
        : `All ${rows} rows stood in “${title}” already.`
      : `${fresh === 1 ? '1 row stands' : `${fresh} rows stand`} in “${title}” now` +
        (fresh < rows
          ? `; ${rows - fresh} stood there already.`
          : '. Undo takes ' + (fresh === 1 ? 'it' : 'them') + ' out.'),
  ];
  if (empty.length) said.push(`Left for you to type: ${empty.join(', ')}.`);
  if (left.length) said.push(`It has no column for ${left.join(', ')}.`);
  return said.join(' ');
}
