import { useState } from 'react';
import { convert, prettyFormula, workOut, type ColumnSpec, type TableSpec } from '../core';
import { Button, Dialog, Field, Select, Symbol } from '../ui';
import { FormulaField } from './FormulaField';
import { MathText } from './MathText';

type Kind = 'calculated' | 'measured' | 'constant';
const KINDS: [Kind, string][] = [
  ['calculated', 'calculated from others'],
  ['measured', 'for readings'],
  ['constant', 'a constant'],
];
/** A new column, or one to change: name, symbol, and a formula, a unit or a value. */
export function ColumnDialog({
  column,
  table,
  onClose,
  onSave,
}: {
  column: ColumnSpec | null;
  table: TableSpec;
  onClose: () => void;
  onSave: (c: ColumnSpec, converted: boolean) => void;
}) {
  const [kind, setKind] = useState<Kind>(column && column.kind !== 'label' ? column.kind : 'calculated');
  const [draft, setDraft] = useState<ColumnSpec>(
    () =>
      column ?? {
        id: `c${table.columns.length + 1}-${crypto.randomUUID().slice(0, 6)}`,
        name: '',
        symbol: '',
        unit: '',
        kind: 'calculated',
        formula: '',
      },
  );
  const [digits, setDigits] = useState(
    draft.decimals !== undefined ? `d${draft.decimals}` : draft.figures !== undefined ? `f${draft.figures}` : '',
  );
  const label = column?.kind === 'label';
  const put = (more: Partial<ColumnSpec>) => setDraft({ ...draft, ...more });
  const [relabel, setRelabel] = useState(false);
  const calculated = !label && kind === 'calculated';
  const constant = !label && kind === 'constant';

  const made: ColumnSpec = {
    id: draft.id,
    name: draft.name.trim(),
    symbol: draft.symbol.trim(),
    unit: draft.unit.trim(),
    kind: label ? 'label' : kind,
    ...(calculated && { formula: draft.formula ?? '' }),
    ...(constant && { constant: draft.constant ?? '' }),
    ...(!calculated && draft.uncertainty?.trim() && { uncertainty: draft.uncertainty.trim() }),
    ...(calculated && draft.found && { found: draft.found }),
    ...(draft.description?.trim() && { description: draft.description.trim() }),
    ...(calculated && digits.startsWith('d') && { decimals: Number(digits.slice(1)) }),
    ...(calculated && digits.startsWith('f') && { figures: Number(digits.slice(1)) }),
  };
  const others = table.columns.filter((c) => c.id !== made.id);
  const taken = others.some((c) => c.symbol === made.symbol);
  const all = column ? table.columns.map((c) => (c.id === made.id ? made : c)) : [...table.columns, made];
  const result =
    made.symbol && !taken
      ? workOut({
          columns: all,
          rows: table.rows,
          unitsAsked: table.unitsAsked,
          uncertaintiesHidden: table.uncertaintiesHidden,
        }).column(made.id)
      : undefined;
  const waiting = (calculated && !made.formula) || (constant && !made.constant);
  const trouble = waiting ? null : (result?.trouble ?? null);
  const ready = made.name !== '' && made.symbol !== '' && !taken && !trouble && !waiting;
  const usable = others.filter((c) => c.kind !== 'label').map((c) => c.symbol);
  const pretty = calculated && made.formula ? prettyFormula(made.formula, usable) : null;
  const first = result && table.rows.map((_, i) => result.text(i)).find((t) => t);
  // A typed value that shows what another unit would make of it.
  const sample =
    column && !calculated && !label && made.unit !== column.unit
      ? kind === 'constant'
        ? made.constant
        : table.rows.map((r) => r.cells[made.id]).find((t) => t?.trim())
      : undefined;
  const said = sample ? convert([sample], column!.unit, made.unit) : null;
  const convertible = said && 'texts' in said ? said.texts[0] : null;
  return (
    <Dialog open onClose={onClose} title={column ? `Change ${column.name}` : 'New column'}>
      <form
        className="flex flex-col gap-2.5"
        onSubmit={(e) => {
          e.preventDefault();
          if (ready) onSave(made, convertible !== null && !relabel);
        }}
      >
        {!label && (
          <div role="radiogroup" aria-label="Kind of column" className="flex flex-wrap gap-x-4">
            {KINDS.map(([k, name]) => (
              <label key={k} className="flex items-center gap-2">
                <input type="radio" className="accent-(--copper)" checked={kind === k} onChange={() => setKind(k)} />
                {name}
              </label>
            ))}
          </div>
        )}
        <div className="grid grid-cols-[1fr_7rem] gap-3">
          <Field
            label="Name"
            value={draft.name}
            onChange={(e) => put({ name: e.target.value })}
            hint="such as: period"
            maxLength={40}
          />
          <Field
            label="Symbol"
            value={draft.symbol}
            onChange={(e) => put({ symbol: e.target.value })}
            error={taken ? 'Taken' : null}
            maxLength={12}
            hint="such as: v_0"
          />
        </div>
        {calculated && (
          <FormulaField
            value={draft.formula ?? ''}
            onChange={(f) => put({ formula: f })}
            symbols={others.filter((c) => c.kind !== 'label')}
            trouble={trouble}
            troubleAt={result?.troubleAt ?? 0}
            hint={'Numbers, + − × / ^, brackets, and what is below. A unit in quotes is one of it: "cm".'}
          />
        )}
        {constant && (
          <Field
            label="Value"
            mono
            value={draft.constant ?? ''}
            onChange={(e) => put({ constant: e.target.value })}
            error={made.constant ? trouble : null}
          />
        )}
        {!label && (
          <div className="grid grid-cols-2 gap-3">
            {calculated && result?.asked ? (
              <p className="self-end pb-2 text-fine text-soft">
                Its unit is for you to find: type it into the column’s heading.
              </p>
            ) : (
              <Field
                label={calculated ? 'Show it in' : 'Unit'}
                value={draft.unit}
                onChange={(e) => put({ unit: e.target.value })}
                error={calculated ? null : trouble}
                hint={calculated ? 'empty: as it follows' : 'such as: cm, s, m/s²'}
              />
            )}
            {calculated ? (
              <div className="flex flex-col gap-1">
                <span className="font-semibold">Show</span>
                <Select
                  label="Figures"
                  hideLabel
                  value={digits}
                  onChange={setDigits}
                  options={[
                    { id: '', name: '4 figures' },
                    ...[2, 3, 5, 6].map((n) => ({ id: `f${n}`, name: `${n} figures` })),
                    ...[0, 1, 2, 3, 4].map((n) => ({ id: `d${n}`, name: `${n} decimals` })),
                  ]}
                />
              </div>
            ) : (
              !table.uncertaintiesHidden && (
                <Field
                  label="Uncertainty"
                  mono
                  value={draft.uncertainty ?? ''}
                  onChange={(e) => put({ uncertainty: e.target.value })}
                  hint={constant ? 'in the same unit' : 'of every cell without its own'}
                />
              )
            )}
          </div>
        )}
        {convertible !== null && (
          <fieldset className="flex flex-col gap-1 rounded-house bg-stage px-3 py-2">
            <legend className="sr-only">What becomes of the numbers</legend>
            <label className="flex items-center gap-2">
              <input type="radio" className="accent-(--copper)" checked={!relabel} onChange={() => setRelabel(false)} />
              Convert the numbers:{' '}
              <span className="mono">
                {sample} {column!.unit}
              </span>{' '}
              becomes{' '}
              <span className="mono">
                {convertible} {made.unit}
              </span>
            </label>
            <label className="flex items-center gap-2">
              <input type="radio" className="accent-(--copper)" checked={relabel} onChange={() => setRelabel(true)} />
              Leave them: only the unit was wrong
            </label>
          </fieldset>
        )}
        <Field
          label="What it is"
          value={draft.description ?? ''}
          onChange={(e) => put({ description: e.target.value })}
          maxLength={200}
          hint="for whoever reads the table"
        />
        {pretty && 'note' in pretty && pretty.note && (
          <p role="status" className="rounded-house border-l-3 border-ochre bg-wash px-3 py-2">
            {pretty.note}
          </p>
        )}
        {calculated && result && !trouble && made.formula && (
          <p className="flex flex-wrap items-center gap-x-3 rounded-house bg-stage px-3 py-2" aria-live="polite">
            {pretty && 'mathMl' in pretty && (
              <span className="text-lead">
                <Symbol text={made.symbol} /> = <MathText mathMl={pretty.mathMl} />
              </span>
            )}
            {!result.asked && (
              <span>
                Unit: <b className="mono">{result.unit || 'none, a pure number'}</b>
              </span>
            )}
            {first && (
              <span>
                first value <b className="mono">{first}</b>
              </span>
            )}
          </p>
        )}
        <Button kind="main" type="submit" disabled={!ready}>
          {column ? 'Change the column' : 'Add the column'}
        </Button>
      </form>
    </Dialog>
  );
}
