import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeAll, expect, test, vi } from 'vitest';
import { workOut, type ColumnSpec, type TableSpec } from '../core';
import { ColumnDialog } from './ColumnDialog';
import { GraphView } from './GraphView';
import type { Cell } from './table';
import { TableView } from './TableView';

beforeAll(() => {
  vi.stubGlobal('ResizeObserver', class { observe() {} unobserve() {} disconnect() {} });
});
afterEach(cleanup);

const columns: ColumnSpec[] = [
  { id: 'cord', name: 'cord', symbol: 'cord', unit: '', kind: 'label' },
  { id: 'L', name: 'length', symbol: 'L', unit: 'cm', kind: 'measured' },
  { id: 't', name: 'time', symbol: 't', unit: 's', kind: 'measured' },
  { id: 'T', name: 'period', symbol: 'T', unit: '', kind: 'calculated', formula: 't/20' },
];

function table(...rows: [string, string, string][]): TableSpec & { cells: Record<string, Cell> } {
  const cells: Record<string, Cell> = {};
  return {
    columns, cells,
    rows: rows.map(([cord, L, t], i) => {
      const id = `r${i + 1}`;
      Object.entries({ cord, L, t }).forEach(([c, text]) => { cells[`${id}/${c}`] = { text }; });
      return { id, cells: { cord, L, t } };
    }),
  };
}

function show(spec: ReturnType<typeof table>, readOnly = false) {
  const calls = { cell: vi.fn(), columns: vi.fn(), show: vi.fn() };
  render(<TableView title="Readings" table={spec} results={workOut(spec)} readOnly={readOnly} shown={null} onCell={calls.cell} onColumns={calls.columns} onShow={calls.show} selected={null} onSelect={() => undefined} />);
  return calls;
}

test('an empty row waits below and becomes real with its first character', () => {
  const calls = show(table(['Tern', '42.0', '26,01']));
  fireEvent.change(screen.getByLabelText('length, row 2'), { target: { value: '8' } });
  expect(calls.cell).toHaveBeenCalledWith('r2', 'L', '8');
});

test('calculated values and their unit come from the core', () => {
  show(table(['Tern', '42.0', '26,01']));
  expect(screen.getByText('1.301')).toBeTruthy();
  expect(screen.getByText('t/20').parentElement!.textContent).toBe('t/20, s');
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
  render(<ColumnDialog column={null} table={table(['Tern', '42.0', '26.01'])} onClose={() => undefined} onSave={save} />);
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
  expect(save).toHaveBeenCalledWith(expect.objectContaining({ symbol: 'w', formula: '√L', kind: 'calculated' }));
});

test('the graph draws complete rows only and speaks the columns’ symbols', () => {
  const spec = table(['a', '40', '26'], ['b', '80', '36.5'], ['c', '120', '44.5'], ['d', '', '50']);
  const change = vi.fn();
  render(<GraphView table={spec} results={workOut(spec)} choice={{ x: 'L', y: 'T', line: true }} readOnly={false} onChoice={change} />);
  expect(document.querySelectorAll('[data-point]')).toHaveLength(3);
  expect(screen.getByTestId('equation').textContent).toMatch(/^T = \(.*\) s\/cm · L \+ .* s r² = 0\.99\d+, 3 points$/);
  fireEvent.change(screen.getByLabelText('along'), { target: { value: 't' } });
  expect(change).toHaveBeenCalledWith({ x: 't', y: 'T', line: true });
});

test('where no line fits, the graph says why', () => {
  const spec = table(['a', '40', '26'], ['b', '40', '36.5']);
  render(<GraphView table={spec} results={workOut(spec)} choice={{ x: 'L', y: 'T', line: true }} readOnly={false} onChoice={() => undefined} />);
  expect(screen.getByTestId('equation').textContent).toContain('same value');
});
