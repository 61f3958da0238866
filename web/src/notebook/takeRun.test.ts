import { expect, test, vi } from 'vitest';
import { workOut, type RunTable } from '../core';
import { onAPage } from '../ui/page.fixture';
import { table } from './fixture';
import type { Change } from './journal';
import { takenWords, takeRun } from './takeRun';

onAPage();

const run: RunTable = {
  columns: [
    { id: 'time', name: 'time', symbol: 't', unit: 's', label: false },
    { id: 'event', name: 'event', symbol: 'event', unit: '', label: true },
    { id: 'length', name: 'Length of the cord', symbol: 'L', unit: 'm', label: false },
    { id: 'speed', name: 'Speed', symbol: 'v', unit: 'm/s', label: false },
  ],
  times: [0.5, 1.25],
  rows: [
    ['0.500', 'lowest point', '0.420', '1.20'],
    ['1.250', 'highest point', '', '−0.30'],
  ],
};

const byFrame = (time: number) => ({ trial: 'trial-7', frame: 60 * time, instruments: {} });

function taken(spec: ReturnType<typeof table>, what = run, how: { ownColumns?: boolean } = {}) {
  const apply = vi.fn<(changes: Change[]) => void>();
  const edits = { apply, undo: vi.fn(), redo: vi.fn(), canUndo: false, canRedo: false };
  takeRun(spec, edits, what, byFrame, how);
  expect(apply).toHaveBeenCalledTimes(1);
  return new Map(apply.mock.calls[0][0].map(({ slot, value }) => [slot, value]));
}

test('a run goes below what stands there, its values said in the columns own units, each with its origin', () => {
  const changes = taken(table(['Tern', '42.0', '26.01']));
  const rows = (changes.get('rows') as { order: string[] }).order;
  expect(rows).toHaveLength(3);
  expect(changes.get(`cell/${rows[1]}/L`)).toEqual({
    text: '42.0',
    reading: { trial: 'trial-7', frame: 30, instruments: {} },
  });
  expect(changes.get(`cell/${rows[2]}/t`)).toEqual({
    text: '1.250',
    reading: { trial: 'trial-7', frame: 75, instruments: {} },
  });
  // What had no value leaves its cell empty.
  expect(changes.has(`cell/${rows[2]}/L`)).toBe(false);
});

test('what the table has no column for stays out unless it is asked for; then it gets name, symbol and unit', () => {
  expect(taken(table()).has('columns')).toBe(false);
  const changes = taken(table(), run, { ownColumns: true });
  const { columns } = changes.get('columns') as { columns: { symbol: string; unit: string; name: string }[] };
  expect(columns.map((c) => c.symbol)).toEqual(['cord', 'L', 't', 'T', 'event', 'v']);
  expect(columns.at(-1)).toMatchObject({ name: 'Speed', unit: 'm/s', kind: 'measured' });
});

test('a table that fits nothing of it takes all of it, under symbols that are free', () => {
  const spec = {
    ...table(),
    columns: [{ id: 'v', name: 'volume', symbol: 'v', unit: 'L', kind: 'measured' as const }],
  };
  const changes = taken(spec);
  const { columns } = changes.get('columns') as { columns: typeof spec.columns };
  expect(columns.map((c) => c.symbol)).toEqual(['v', 't', 'event', 'L', 'v_2']);
});

test('more rows than a table can keep are refused in words, and nothing is written', () => {
  const apply = vi.fn<(changes: Change[]) => void>();
  const edits = { apply, undo: vi.fn(), redo: vi.fn(), canUndo: false, canRedo: false };
  const rows = Array.from({ length: 20_000 }, (_, i) => [String(i), '', '', '']);
  const many = { ...run, times: rows.map((_, i) => i), rows };
  const said = takeRun(table(['Tern', '42.0', '26.01']), edits, many, () => ({
    trial: 't',
    frame: 0,
    instruments: {},
  }));
  expect(said.trouble).toBe('A table takes at most 20000 rows; with these it would have 20001.');
  expect(apply).not.toHaveBeenCalled();
});

test('ten thousand rows are one step, and can be worked out', () => {
  const many: RunTable = {
    columns: [run.columns[0], run.columns[3]],
    times: Array.from({ length: 10_000 }, (_, i) => i / 60),
    rows: Array.from({ length: 10_000 }, (_, i) => [String(i), String(2 * i)]),
  };
  const changes = taken(table(), many, { ownColumns: true });
  expect(changes.size).toBe(20_002);
  const columns = (changes.get('columns') as { columns: ReturnType<typeof table>['columns'] }).columns;
  const rows = (changes.get('rows') as { order: string[] }).order.map((id) => ({
    id,
    cells: Object.fromEntries(columns.map((c) => [c.id, String(changes.get(`cell/${id}/${c.id}`)?.text ?? '')])),
  }));
  expect(workOut({ columns, rows }).columns.at(-1)!.values[9_999]).toBe(19_998);
});

test('a column gets what the lab says that it takes, whatever it is called, and only once', () => {
  const trials: RunTable = {
    columns: [
      { id: 'trial', name: 'trial', symbol: 'trial', unit: '', label: true },
      { id: 'set.neck', name: 'In the neck', symbol: 'In the neck', unit: '', label: true },
      { id: 'came.even-at', name: 'Within half a degree after', symbol: 't_e', unit: 'min', label: false },
    ],
    times: [600, 900],
    rows: [
      ['Trial 1', 'copper', '8.2'],
      ['Trial 2', 'glass', '41.0'],
    ],
  };
  const spec = {
    ...table(),
    columns: [
      { id: 'core', name: 'core', symbol: 'core', unit: '', kind: 'label' as const, takes: ['set.core', 'set.neck'] },
      { id: 'what', name: 'remark', symbol: 'what', unit: '', kind: 'label' as const },
      { id: 't', name: 'how long', symbol: 'D', unit: 's', kind: 'measured' as const, takes: ['came.even-at'] },
    ],
  };
  const apply = vi.fn<(changes: Change[]) => void>();
  const edits = { apply, undo: vi.fn(), redo: vi.fn(), canUndo: false, canRedo: false };
  const of = (_: number, row: number) => ({ trial: `trial-${row}`, frame: 1, instruments: {} });
  const said = takeRun(spec, edits, trials, of);
  expect(said).toEqual({ rows: 2, fresh: 2, left: [], empty: ['remark'] });
  const cells = apply.mock.calls[0][0].filter((c) => c.slot.startsWith('cell/')).map((c) => c.value.text);
  expect(cells).toEqual(['copper', 'glass', '492', '2460']);
  expect(takenWords(said, 'Cores')).toBe(
    '2 rows stand in “Cores” now. Undo takes them out. Left for you to type: remark.',
  );
});

test('a moment that stands in the notebook already makes no second row; only its gaps are filled', () => {
  const before = table(['Tern', '42.0', ''], ['', '', '9']);
  before.cells['r1/L'].reading = byFrame(0.5);
  const changes = taken(before);
  const rows = (changes.get('rows') as { order: string[] }).order;
  expect(rows).toHaveLength(3);
  expect(changes.has('cell/r1/L')).toBe(false);
  expect(changes.get('cell/r1/t')).toMatchObject({ text: '0.500' });
  expect(changes.get(`cell/${rows[2]}/t`)).toMatchObject({ text: '1.250' });
  const apply = vi.fn<(changes: Change[]) => void>();
  const edits = { apply, undo: vi.fn(), redo: vi.fn(), canUndo: false, canRedo: false };
  const full = table(['Tern', '42.0', '0.5'], ['Tern', '40.0', '1.2']);
  full.cells['r1/t'].reading = byFrame(0.5);
  full.cells['r2/t'].reading = byFrame(1.25);
  const said = takeRun(full, edits, run, byFrame);
  expect(apply).not.toHaveBeenCalled();
  expect(takenWords(said, 'Readings')).toMatch(/^All 2 rows stood in “Readings” already\./);
});
