import { useState } from 'react';
import type { ColumnSpec, TableSpec } from '../core';
import { Button, Dialog, Field, Select, Symbol } from '../ui';
import { useColumnDraft, type ColumnDraft, type Kind } from './columnDraft';
import { FormulaField } from './FormulaField';
import { MathText } from './MathText';

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
  const d = useColumnDraft(column, table);
  const { draft, put, label, calculated, constant, trouble, ready } = d;
  const [first] = useState(() => JSON.stringify(draft));
  const [leaving, setLeaving] = useState(false);
  // Escape is pressed sooner than meant: what was typed isn't thrown away without a question.
  const leave = () => (JSON.stringify(draft) === first || leaving ? onClose() : setLeaving(true));
  return (
    <Dialog open onClose={leave} title={column ? `Change ${column.name}` : 'New column'}>
      <form
        className="flex flex-col gap-2.5"
        onSubmit={(e) => {
          e.preventDefault();
          if (ready) onSave(d.made, d.converted !== null && !d.relabel);
        }}
      >
        {!label && (
          <div role="radiogroup" aria-label="Kind of column" className="flex flex-wrap gap-x-4">
            {KINDS.map(([k, name]) => (
              <label key={k} className="flex items-center gap-2">
                <input
                  type="radio"
                  className="accent-(--copper)"
                  checked={d.kind === k}
                  onChange={() => d.setKind(k)}
                />
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
            error={d.taken ? 'Taken' : null}
            maxLength={12}
            hint="such as: v_0"
          />
        </div>
        {calculated && (
          <FormulaField
            value={draft.formula ?? ''}
            onChange={(f) => put({ formula: f })}
            symbols={d.numbers}
            trouble={trouble}
            troubleAt={d.result?.troubleAt ?? 0}
            hint={'Numbers, + − × / ^, brackets, and what is below. A unit in quotes is one of it: "cm".'}
          />
        )}
        {constant && (
          <Field
            label="Value"
            mono
            value={draft.constant ?? ''}
            onChange={(e) => put({ constant: e.target.value })}
            error={d.made.constant ? trouble : null}
          />
        )}
        {!label && <UnitAndShown d={d} hidden={!!table.uncertaintiesHidden} />}
        {d.converted && <Conversion d={d} from={column!.unit} />}
        <Field
          label="What it is"
          value={draft.description ?? ''}
          onChange={(e) => put({ description: e.target.value })}
          maxLength={200}
          hint="for whoever reads the table"
        />
        <Preview d={d} />
        {leaving && (
          <div
            role="alert"
            className="flex flex-wrap items-center gap-2 rounded-house border-l-3 border-ochre bg-wash p-2"
          >
            What you typed isn’t in the table yet.
            <Button small onClick={onClose}>
              Throw it away
            </Button>
            <Button small onClick={() => setLeaving(false)}>
              Go on typing
            </Button>
          </div>
        )}
        <Button kind="main" type="submit" disabled={!ready}>
          {column ? 'Change the column' : 'Add the column'}
        </Button>
      </form>
    </Dialog>
  );
}

/** The unit it is in or shown in, and how it is shown or how far it may be off. */
function UnitAndShown({ d, hidden }: { d: ColumnDraft; hidden: boolean }) {
  const { draft, put, calculated, constant, result, trouble } = d;
  return (
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
            value={d.digits}
            onChange={d.setDigits}
            options={[
              { id: '', name: '4 figures' },
              ...[2, 3, 5, 6].map((n) => ({ id: `f${n}`, name: `${n} figures` })),
              ...[0, 1, 2, 3, 4].map((n) => ({ id: `d${n}`, name: `${n} decimals` })),
            ]}
          />
        </div>
      ) : (
        !hidden && (
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
  );
}

/** Whether numbers become others with the unit, or only their label was wrong. */
function Conversion({ d, from }: { d: ColumnDraft; from: string }) {
  return (
    <fieldset className="flex flex-col gap-1 rounded-house bg-stage px-3 py-2">
      <legend className="sr-only">What becomes of the numbers</legend>
      <label className="flex items-center gap-2">
        <input type="radio" className="accent-(--copper)" checked={!d.relabel} onChange={() => d.setRelabel(false)} />
        Convert the numbers:{' '}
        <span className="mono">
          {d.converted!.typed} {from}
        </span>{' '}
        becomes{' '}
        <span className="mono">
          {d.converted!.becomes} {d.made.unit}
        </span>
      </label>
      <label className="flex items-center gap-2">
        <input type="radio" className="accent-(--copper)" checked={d.relabel} onChange={() => d.setRelabel(true)} />
        Leave them: only the unit was wrong
      </label>
    </fieldset>
  );
}

/** The formula as it is read, what it comes to, and what is to be said of it. */
function Preview({ d: { pretty, calculated, result, trouble, made, first } }: { d: ColumnDraft }) {
  return (
    <>
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
    </>
  );
}
