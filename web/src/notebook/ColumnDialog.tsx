import { useState } from 'react';
import { workOut, type ColumnSpec, type TableSpec } from '../core';
import { Button, Dialog, Field } from '../ui';

/** A new column, or a calculated one to change: name, symbol, and a formula or a unit. */
export function ColumnDialog({ column, table, onClose, onSave }: { column: ColumnSpec | null; table: TableSpec; onClose: () => void; onSave: (c: ColumnSpec) => void }) {
  const [kind, setKind] = useState<'calculated' | 'measured'>('calculated');
  const [name, setName] = useState(column?.name ?? '');
  const [symbol, setSymbol] = useState(column?.symbol ?? '');
  const [formula, setFormula] = useState(column?.formula ?? '');
  const [unit, setUnit] = useState(column?.unit ?? '');
  const calculated = column ? column.kind === 'calculated' : kind === 'calculated';

  const id = column?.id ?? `c${table.columns.length + 1}-${symbol}`;
  const draft: ColumnSpec = { id, name: name.trim(), symbol: symbol.trim(), unit: unit.trim(), kind: calculated ? 'calculated' : 'measured', formula: calculated ? formula : undefined };
  const others = table.columns.filter((c) => c.id !== column?.id);
  const taken = others.some((c) => c.symbol === draft.symbol);
  const result = draft.symbol && !taken ? workOut({ columns: [...others, draft], rows: table.rows }).at(-1) : undefined;
  const trouble = (calculated && !formula) ? null : result?.trouble ?? null;
  const ready = draft.name !== '' && draft.symbol !== '' && !taken && !trouble && (!calculated || formula.trim() !== '');
  const usable = others.filter((c) => c.kind !== 'label').map((c) => c.symbol);
  return (
    <Dialog open onClose={onClose} title={column ? `Change ${column.name}` : 'New column'}>
      <form className="flex flex-col gap-3" onSubmit={(e) => { e.preventDefault(); if (ready) onSave(draft); }}>
        {!column && (
          <div role="radiogroup" aria-label="Kind of column" className="flex gap-4">
            <label className="flex items-center gap-2"><input type="radio" className="accent-(--copper)" checked={kind === 'calculated'} onChange={() => setKind('calculated')} />calculated from others</label>
            <label className="flex items-center gap-2"><input type="radio" className="accent-(--copper)" checked={kind === 'measured'} onChange={() => setKind('measured')} />for readings</label>
          </div>
        )}
        <div className="grid grid-cols-[1fr_7rem] gap-3">
          <Field label="Name" value={name} onChange={(e) => setName(e.target.value)} hint="such as: period" maxLength={40} />
          <Field label="Symbol" value={symbol} onChange={(e) => setSymbol(e.target.value)} error={taken ? 'Taken' : null} maxLength={12} hint="such as: T" />
        </div>
        {calculated && (
          <Field label="Formula" mono value={formula} onChange={(e) => setFormula(e.target.value)} error={trouble} autoComplete="off"
            hint={`Use ${usable.join(', ')}, numbers, + − × / ^ √( ) and π`} />
        )}
        {!calculated && <Field label="Unit" value={unit} onChange={(e) => setUnit(e.target.value)} error={trouble} hint="such as: cm, s, m/s²" />}
        {calculated && result && !trouble && formula && (
          <p className="rounded-house bg-stage px-3 py-2" aria-live="polite">
            Unit: <b className="mono">{result.unit || 'none, a pure number'}</b>
            {result.texts.some((t) => t) && <> · first value <b className="mono">{result.texts.find((t) => t)}</b></>}
          </p>
        )}
        <Button kind="main" type="submit" disabled={!ready}>{column ? 'Change the column' : 'Add the column'}</Button>
      </form>
    </Dialog>
  );
}
