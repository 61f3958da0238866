import { render } from '@testing-library/react';
import { vi } from 'vitest';
import { workOut, type ColumnSpec } from '../core';
import { type Cell, type NotebookTable } from './table';
import { tableOps } from './tableOps';
import { TableView } from './TableView';

export const columns: ColumnSpec[] = [
  { id: 'cord', name: 'cord', symbol: 'cord', unit: '', kind: 'label' },
  { id: 'L', name: 'length', symbol: 'L', unit: 'cm', kind: 'measured' },
  { id: 't', name: 'time', symbol: 't', unit: 's', kind: 'measured' },
  { id: 'T', name: 'period', symbol: 'T', unit: '', kind: 'calculated', formula: 't/20' },
];

export function table(...rows: [string, string, string][]): NotebookTable {
  const cells: Record<string, Cell> = {};
  return {
    columns,
    cells,
    issued: rows.length,
    rows: rows.map(([cord, L, t], i) => {
      const id = `r${i + 1}`;
      Object.entries({ cord, L, t }).forEach(([c, text]) => {
        cells[`${id}/${c}`] = { text };
      });
      return { id, cells: { cord, L, t } };
    }),
  };
}

export function show(spec: ReturnType<typeof table>, readOnly = false) {
  const calls = { cell: vi.fn(), apply: vi.fn(), show: vi.fn() };
  const edits = { apply: calls.apply, undo: vi.fn(), redo: vi.fn(), canUndo: false, canRedo: false };
  render(
    <TableView
      title="Readings"
      table={spec}
      worked={workOut(spec)}
      readOnly={readOnly}
      shown={null}
      onCell={calls.cell}
      ops={tableOps(spec, edits)}
      history={edits}
      onShow={calls.show}
      selected={null}
      onSelect={() => undefined}
    />,
  );
  return calls;
}
