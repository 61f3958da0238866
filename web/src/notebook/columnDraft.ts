import { useState } from 'react';
import { convert, prettyFormula, workOut, type ColumnSpec, type TableSpec } from '../core';

export type Kind = 'calculated' | 'measured' | 'constant';

/** The column that what was typed amounts to. */
function madeOf(draft: ColumnSpec, kind: ColumnSpec['kind'], digits: string): ColumnSpec {
  const calculated = kind === 'calculated';
  return {
    id: draft.id,
    name: draft.name.trim(),
    symbol: draft.symbol.trim(),
    unit: draft.unit.trim(),
    kind,
    ...(calculated && { formula: draft.formula ?? '' }),
    ...(kind === 'constant' && { constant: draft.constant ?? '' }),
    ...(!calculated && draft.uncertainty?.trim() && { uncertainty: draft.uncertainty.trim() }),
    ...(calculated && draft.found && { found: draft.found }),
    ...(draft.description?.trim() && { description: draft.description.trim() }),
    ...(calculated && digits.startsWith('d') && { decimals: Number(digits.slice(1)) }),
    ...(calculated && digits.startsWith('f') && { figures: Number(digits.slice(1)) }),
  };
}

/** A typed value of a column and what another unit would make of it; null where nothing is to be converted. */
function conversion(before: ColumnSpec | null, made: ColumnSpec, table: TableSpec) {
  if (!before || (made.kind !== 'measured' && made.kind !== 'constant') || made.unit === before.unit) return null;
  const typed =
    made.kind === 'constant' ? made.constant : table.rows.map((r) => r.cells[made.id]).find((t) => t?.trim());
  const said = typed ? convert([typed], before.unit, made.unit) : null;
  return typed && said && 'texts' in said ? { typed, becomes: said.texts[0] } : null;
}

function digitsOf({ decimals, figures }: ColumnSpec) {
  if (decimals !== undefined) return `d${decimals}`;
  return figures === undefined ? '' : `f${figures}`;
}

function fresh(table: TableSpec): ColumnSpec {
  return {
    id: `c${table.columns.length + 1}-${crypto.randomUUID().slice(0, 6)}`,
    name: '',
    symbol: '',
    unit: '',
    kind: 'calculated',
    formula: '',
  };
}

/** What is typed of a column, and what the core says of it in its table. */
export function useColumnDraft(column: ColumnSpec | null, table: TableSpec) {
  const [kind, setKind] = useState<Kind>(column && column.kind !== 'label' ? column.kind : 'calculated');
  const [draft, setDraft] = useState<ColumnSpec>(() => column ?? fresh(table));
  const [digits, setDigits] = useState(() => digitsOf(draft));
  const [relabel, setRelabel] = useState(false);
  const label = column?.kind === 'label';
  const made = madeOf(draft, label ? 'label' : kind, digits);
  const calculated = made.kind === 'calculated';
  const constant = made.kind === 'constant';
  const others = table.columns.filter((c) => c.id !== made.id);
  const numbers = others.filter((c) => c.kind !== 'label');
  const taken = others.some((c) => c.symbol === made.symbol);
  const columns = column ? table.columns.map((c) => (c.id === made.id ? made : c)) : [...table.columns, made];
  const { rows, unitsAsked, uncertaintiesHidden } = table;
  const worked = made.symbol && !taken ? workOut({ columns, rows, unitsAsked, uncertaintiesHidden }) : undefined;
  const result = worked?.column(made.id);
  const waiting = (calculated && !made.formula) || (constant && !made.constant);
  const trouble = waiting ? null : (result?.trouble ?? null);
  const converted = conversion(column, made, table);
  return {
    kind,
    setKind,
    draft,
    put: (more: Partial<ColumnSpec>) => setDraft({ ...draft, ...more }),
    digits,
    setDigits,
    relabel,
    setRelabel,
    label,
    made,
    calculated,
    constant,
    numbers,
    taken,
    result,
    trouble,
    ready: made.name !== '' && made.symbol !== '' && !taken && !trouble && !waiting,
    pretty:
      calculated && made.formula
        ? prettyFormula(
            made.formula,
            numbers.map((c) => c.symbol),
          )
        : null,
    first: result && rows.map((_, i) => result.text(i)).find((t) => t),
    converted,
  };
}

export type ColumnDraft = ReturnType<typeof useColumnDraft>;
