import 'fake-indexeddb/auto';
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { ErrorBoundary } from 'react-error-boundary';
import { Mishap } from '../shell/Mishap';
import { workOut, Worktable, type ColumnSpec } from '../core';
import { ColumnDialog } from './ColumnDialog';
import { GraphView } from '../graph/GraphView';
import { Journal } from './journal';
import { nextRow, tableOf } from './table';
import { PasteDialog } from './PasteDialog';
import { tableOps } from './tableOps';
import { tableText } from './tableText';
import { useEdits } from './useEdits';
import { columns, show, table } from './fixture';
import { onAPage } from '../ui/page.fixture';

onAPage();

const open: Journal[] = [];

/** A journal that sends nothing any more once its test is over. */
function journalOf(work: string) {
  const journal = new Journal(work, {});
  open.push(journal);
  return journal;
}

afterEach(() => open.splice(0).forEach((j) => j.close()));

test('an empty row waits below and becomes real with its first character', () => {
  const calls = show(table(['Tern', '42.0', '26,01']));
  fireEvent.change(screen.getByLabelText('length, row 2'), { target: { value: '8' } });
  expect(calls.cell).toHaveBeenCalledWith('r2', 'L', '8');
});

test('calculated values and their unit come from the core', () => {
  show(table(['Tern', '42.0', '26,01']));
  expect(screen.getByText('1.301')).toBeTruthy();
  expect(screen.getByTitle('t/20').parentElement!.textContent).toBe('t/20, s');
});

test('Enter and the arrows go up and down a column', () => {
  show(table(['Tern', '42.0', '26.01'], ['Petrel', '61.2', '31.38']));
  const first = screen.getByLabelText('length, row 1');
  first.focus();
  fireEvent.keyDown(first, { key: 'Enter' });
  expect(document.activeElement).toBe(screen.getByLabelText('length, row 2'));
  fireEvent.keyDown(document.activeElement!, { key: 'ArrowUp' });
  expect(document.activeElement).toBe(first);
});

test('a value that was read on the picture shows how; one that was not does nothing', () => {
  const spec = table(['Tern', '42.0', '26.01']);
  const reading = { trial: 't1', frame: 12, instruments: {} };
  spec.cells['r1/L'] = { text: '42.0', reading };
  const calls = show(spec, true);
  fireEvent.click(screen.getByLabelText('time, row 1'));
  expect(calls.show).not.toHaveBeenCalled();
  fireEvent.click(screen.getByLabelText('length, row 1, read on the picture'));
  expect(calls.show).toHaveBeenCalledWith('r1/L', reading);
  expect(screen.queryByLabelText('length, row 2')).toBeNull();
});

test('what is no number is marked and says why', () => {
  show(table(['Tern', '4x', '26.01']));
  const cell = screen.getByLabelText('length, row 1');
  expect(cell.getAttribute('aria-invalid')).toBe('true');
  expect(cell.getAttribute('title')).toBe('“4x” is not a number');
});

test('a new column tells its unit, and its trouble, while it is typed', () => {
  const save = vi.fn();
  render(
    <ColumnDialog column={null} table={table(['Tern', '42.0', '26.01'])} onClose={() => undefined} onSave={save} />,
  );
  fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'root' } });
  fireEvent.change(screen.getByLabelText('Symbol'), { target: { value: 'L' } });
  expect(screen.getByText('Taken')).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Symbol'), { target: { value: 'w' } });
  fireEvent.change(screen.getByLabelText('Formula'), { target: { value: 'L + t' } });
  expect(screen.getByText("Can't add a quantity in s to a quantity in m")).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Add the column' })).toHaveProperty('disabled', true);
  fireEvent.change(screen.getByLabelText('Formula'), { target: { value: '√L' } });
  expect(screen.getByText('√m')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Add the column' }));
  expect(save).toHaveBeenCalledWith(expect.objectContaining({ symbol: 'w', formula: '√L', kind: 'calculated' }), false);
});

test('escape asks before it throws a column away that was typed, and closes at once where nothing was', () => {
  const close = vi.fn();
  const spec = table(['Tern', '42.0', '26.01']);
  render(<ColumnDialog column={null} table={spec} onClose={close} onSave={() => undefined} />);
  fireEvent.change(screen.getByLabelText('Formula'), { target: { value: '√L' } });
  fireEvent.keyDown(screen.getByLabelText('Formula'), { key: 'Escape' });
  expect(close).not.toHaveBeenCalled();
  expect(screen.getByRole('alert').textContent).toMatch(/isn’t in the table yet/);
  fireEvent.click(screen.getByText('Go on typing'));
  expect(screen.queryByRole('alert')).toBeNull();
  expect(screen.getByLabelText('Formula')).toHaveProperty('value', '√L');
  fireEvent.keyDown(screen.getByLabelText('Formula'), { key: 'Escape' });
  fireEvent.click(screen.getByText('Throw it away'));
  expect(close).toHaveBeenCalledTimes(1);
  cleanup();
  render(<ColumnDialog column={null} table={spec} onClose={close} onSave={() => undefined} />);
  fireEvent.keyDown(screen.getByLabelText('Formula'), { key: 'Escape' });
  expect(close).toHaveBeenCalledTimes(2);
});

test('each change can be taken back and done again, typing in a cell as one', async () => {
  const journal = journalOf('w-undo');
  const start: ColumnSpec[] = columns.slice(1, 3);
  const seen: { edits?: ReturnType<typeof useEdits> } = {};
  function Harness() {
    seen.edits = useEdits(journal, 't', start);
    return null;
  }
  render(<Harness />);
  const now = () =>
    tableOf(journal.all(), { id: 't', columns: start }).rows.map((r) => [r.cells.L, r.cells.t, r.out ?? '']);
  const ops = () => tableOps(tableOf(journal.all(), { id: 't', columns: start }), seen.edits!);
  act(() => ops().paste(0, 'L', [['1', '2'], ['3', '4', 'too far'], ['5']]));
  const [, second, third] = tableOf(journal.all(), { id: 't', columns: start }).rows.map((r) => r.id);
  for (const text of ['6', '61', '61.2'])
    act(() => seen.edits!.apply([{ slot: `cell/${third}/t`, value: { text } }], `cell/${third}/t`));
  act(() => ops().leaveOut(second, 'slipped'));
  act(() => ops().moveRow(0, 2));
  expect(now()).toEqual([
    ['3', '4', 'slipped'],
    ['5', '61.2', ''],
    ['1', '2', ''],
  ]);
  act(() => seen.edits!.undo());
  act(() => seen.edits!.undo());
  expect(now()).toEqual([
    ['1', '2', ''],
    ['3', '4', ''],
    ['5', '61.2', ''],
  ]);
  act(() => seen.edits!.undo());
  expect(now()[2]).toEqual(['5', '', '']);
  act(() => seen.edits!.redo());
  expect(now()[2]).toEqual(['5', '61.2', '']);
  act(() => seen.edits!.undo());
  act(() => seen.edits!.undo());
  expect(now()).toEqual([]);
  expect(seen.edits!.canUndo).toBe(false);
});

test('a new row never wears the cells of a deleted one', () => {
  const journal = journalOf('w-rows');
  const seen: { edits?: ReturnType<typeof useEdits> } = {};
  function Harness() {
    seen.edits = useEdits(journal, 't', columns.slice(1, 3));
    return null;
  }
  render(<Harness />);
  const now = () => tableOf(journal.all(), { id: 't', columns: columns.slice(1, 3) }, journal.writer);
  act(() => tableOps(now(), seen.edits!).paste(0, 'L', [['1'], ['2']]));
  act(() => tableOps(now(), seen.edits!).deleteRow(now().rows[1].id));
  act(() => tableOps(now(), seen.edits!).insertRow(1));
  expect(now().rows.map((r) => [parseInt(r.id.slice(1), 10), r.cells.L])).toEqual([
    [1, '1'],
    [3, ''],
  ]);
  // Rows of another tab have other ids, though both count from the same.
  const other = journalOf('w-rows');
  const elsewhere = tableOf(other.all(), { id: 't', columns: columns.slice(1, 3) }, other.writer);
  expect(nextRow(elsewhere)).not.toBe(now().rows[0].id);
});

test('only cells that changed are worked out anew, and all columns stay right', () => {
  const table1 = table(['a', '40', '26'], ['b', '80', '36.5']);
  const work = new Worktable();
  expect([...work.update(table1).column('T')!.values]).toEqual([1.3, 1.825]);
  const table2 = table(['a', '40', '20'], ['b', '80', '36.5'], ['c', '90', '40']);
  expect([...work.update(table2).column('T')!.values]).toEqual([1, 1.825, 2]);
  table2.rows[1].out = 'slipped';
  table2.columns = [
    ...table2.columns,
    { id: 'm', name: 'mean', symbol: 'm', unit: '', kind: 'calculated', formula: 'mean(t)' },
  ];
  expect(work.update(table2).column('m')!.text(0)).toBe('30.00');
  table2.rows = table2.rows.slice(0, 1);
  expect([...work.update(table2).column('m')!.values]).toEqual([20]);
});

test('a copied table has units in its headings and nothing a spreadsheet would run', async () => {
  const spec = table(['=HYPERLINK("x")', '−4.2', '26,01'], ['with, comma', '8', '']);
  expect((await tableText(spec, workOut(spec), ',')).split('\r\n')).toEqual([
    'cord,length L / cm,time t / s,period T / s',
    '"\'=HYPERLINK(""x"")",-4.2,26.01,1.301',
    '"with, comma",8,,',
  ]);
});

test('pasting shows first what would be pasted, decimal commas told apart', () => {
  const paste = vi.fn();
  render(
    <PasteDialog text={'1,5;2,5\n3,5;4'} columns={['length', 'time']} onPaste={paste} onClose={() => undefined} />,
  );
  fireEvent.click(screen.getByRole('button', { name: 'Paste 2 rows' }));
  expect(paste).toHaveBeenCalledWith([
    ['1.5', '2.5'],
    ['3.5', '4'],
  ]);
  cleanup();
  render(<PasteDialog text={'L,t\n1.5,2'} columns={['length']} onPaste={paste} onClose={() => undefined} />);
  fireEvent.click(screen.getByRole('checkbox', { name: 'the first line is a heading' }));
  expect(screen.getByText('no column left')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Paste 1 row' }));
  expect(paste).toHaveBeenLastCalledWith([['1.5', '2']]);
});

test('while a formula is typed, the word before the caret is completed by keys', () => {
  render(
    <ColumnDialog
      column={null}
      table={table(['Tern', '42.0', '26.01'])}
      onClose={() => undefined}
      onSave={() => undefined}
    />,
  );
  const field = screen.getByLabelText<HTMLInputElement>('Formula');
  const type = (value: string) => {
    fireEvent.change(field, { target: { value, selectionStart: value.length } });
    field.setSelectionRange(value.length, value.length);
  };
  const offered = () =>
    within(screen.getByRole('listbox'))
      .getAllByRole('option')
      .map((o) => o.textContent);
  type('2 len');
  expect(offered()).toEqual(['Llength']);
  fireEvent.keyDown(field, { key: 'ArrowDown' });
  fireEvent.keyDown(field, { key: 'Enter' });
  expect(field.value).toBe('2 L');
  type('2 L + me');
  expect(offered()).toEqual(['mean()mean of the column', 'median()median of the column']);
  fireEvent.keyDown(field, { key: 'ArrowUp' });
  fireEvent.keyDown(field, { key: 'Tab' });
  expect(field.value).toBe('2 L + median()');
  // A whole symbol is left alone.
  type('t');
  expect(screen.queryByRole('listbox')).toBeNull();
});

test('where the lab asks for units, they are kept back until the student has found them', () => {
  const asked = { ...table(['Tern', '42.0', '26.01'], ['Shag', '118', '43.6']), unitsAsked: true };
  const calls = show(asked);
  const field = screen.getByLabelText('Unit of period');
  expect(screen.queryByText(/t\/20, s/)).toBeNull();
  fireEvent.change(field, { target: { value: 'm' } });
  fireEvent.keyDown(field, { key: 'Enter' });
  const found = (unit: string) => ({
    ...asked,
    columns: columns.map((c) => (c.id === 'T' ? { ...c, found: unit } : c)),
  });
  expect(calls.apply).toHaveBeenCalledWith([{ slot: 'columns', value: { columns: found('m').columns } }]);
  cleanup();
  show(found('m'));
  expect(
    screen.getByText('Unit of period: Not yet. Written in base units, look again at the power of m and s.'),
  ).toBeTruthy();
  cleanup();
  // Any unit of the right kind will do, and the values are shown in it.
  show(found('ms'));
  expect(screen.getByTitle('t/20').parentElement!.textContent).toBe('t/20, ms ✓');
  expect(screen.getByText('1301')).toBeTruthy();
  cleanup();
  render(
    <GraphView
      table={asked}
      worked={workOut(asked)}
      choice={{ x: 'L', y: 'T', line: true, fits: [{ kind: 'line', series: 'T' }] }}
      readOnly={false}
      onChoice={() => undefined}
    />,
  );
  expect(document.querySelector('svg[role=img]')!.textContent).toContain('T / ?');
  expect(screen.getByTestId('equation').textContent).not.toContain('s/cm');
});

test('where the lab keeps uncertainties away, there is no ± anywhere', () => {
  const spec = table(['a', '40', '26'], ['b', '80', '36.5'], ['c', '120', '44.5']);
  spec.cells['r1/L'].uncertainty = '0.5';
  spec.rows[0].uncertainties = { L: '0.5' };
  const plain = { ...spec, uncertaintiesHidden: true };
  for (const [table, bars] of [
    [spec, 1],
    [plain, 0],
  ] as const) {
    render(
      <GraphView
        table={table}
        worked={workOut(table)}
        choice={{ x: 'L', y: 't', line: true, fits: [{ kind: 'line' }] }}
        readOnly={false}
        onChoice={() => undefined}
      />,
    );
    expect(document.querySelectorAll('[data-bar]')).toHaveLength(bars);
    expect(screen.getByTestId('equation').textContent!.includes('±')).toBe(bars === 1);
    cleanup();
    show(table);
    expect(document.querySelectorAll('[title^="±"]')).toHaveLength(bars);
    cleanup();
  }
});

test('a page that can’t be drawn says so, and that nothing is lost', () => {
  const quiet = vi.spyOn(console, 'error').mockImplementation(() => undefined);
  function Broken(): React.ReactNode {
    throw new Error('no such column');
  }
  render(
    <ErrorBoundary FallbackComponent={Mishap}>
      <Broken />
    </ErrorBoundary>,
  );
  expect(screen.getByRole('alert').textContent).toContain('What you have typed is kept.');
  expect(screen.getByText('no such column')).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Load the page again' })).toBeTruthy();
  quiet.mockRestore();
});

test('a table that is worked out again prints what has changed, and no more', () => {
  const worktable = new Worktable();
  const spec = table(['a', '40', '26'], ['b', '80', '36.5']);
  const texts = (rows: typeof spec.rows, cols = columns) => {
    const t = worktable.update({ columns: cols, rows }).columns[3];
    return rows.map((_, i) => t.text(i));
  };
  expect(texts(spec.rows)).toEqual(['1.300', '1.825']);
  const changed = spec.rows.map((r, i) => (i ? { ...r, cells: { ...r.cells, t: '40' } } : r));
  expect(texts(changed)).toEqual(['1.300', '2.000']);
  expect(texts([...changed].reverse())).toEqual(['2.000', '1.300']);
  // A typed cell's uncertainty, and what is typed, are never those of before.
  const sure = (u: string) =>
    worktable.update({ columns, rows: [{ ...spec.rows[0], uncertainties: { L: u } }] }).columns[1].sureness(0);
  expect([sure('0.5'), sure('2')]).toEqual(['40.0 ± 0.5', '40 ± 2']);
  // Other figures of the same number.
  expect(
    texts(
      changed,
      columns.map((c) => (c.id === 'T' ? { ...c, decimals: 1 } : c)),
    ),
  ).toEqual(['1.3', '2.0']);
});
