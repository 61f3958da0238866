import { useQuery } from '@tanstack/react-query';
import { EyeOff } from 'lucide-react';
import { useEffect } from 'react';
import { Trouble } from '../ui';
import {
  findingsOf,
  judgementQuery,
  NONE,
  signsOf,
  VERDICTS,
  type Judged,
  type Judgement,
  type Signs,
} from './judgement';

interface Props {
  judged: Judged;
  block: string;
  /** Ids of the rows in their order, and the columns' names. */
  rows: string[];
  columns: { id: string; name: string }[];
  /** Whether the table has little room: then only the sentence stands there at first. */
  narrow: boolean;
  /** The cell selected, as `row/column`. */
  selected: string | null;
  onGo: (row: string, column: string) => void;
  /** Tells which cells are to be looked at, and why. */
  onSigns: (signs: Signs) => void;
}

/** Below a table, for whoever marks it: what of it the apparatus bears out, and what not. */
export function TableJudged({ judged, block, rows, columns, narrow, selected, onGo, onSigns }: Props) {
  const { data, error } = useQuery(judgementQuery(judged, block));
  useEffect(() => onSigns(data ? signsOf(data) : NONE), [data, onSigns]);
  if (error) return <Trouble error={error} />;
  if (!data) return <p className="border-t px-3 py-1.5 text-fine text-soft">Running the trials again …</p>;
  if (!data.held) return null;
  const findings = findingsOf(data);
  const wrong = findings.length > 0 || data.worked.some((w) => !w.follows);
  return (
    <details
      open={wrong && !narrow}
      aria-label="Against the apparatus"
      className="max-h-[45%] shrink-0 overflow-auto border-t bg-wash px-3 py-1.5"
    >
      <summary className="cursor-pointer font-semibold">
        Against the apparatus <span className="font-normal text-soft">· {data.words}</span>
      </summary>
      <ul className="mt-1 flex flex-col gap-0.5 text-fine">
        {findings.map((c) => {
          const key = `${c.row}/${c.column}`;
          return (
            <li key={key}>
              <button
                type="button"
                aria-current={selected === key}
                className={
                  'flex w-full items-baseline gap-2 rounded-house px-1.5 py-0.5 text-left hover:bg-sheet ' +
                  'aria-[current=true]:bg-sheet aria-[current=true]:outline-1 aria-[current=true]:outline-copper'
                }
                onClick={() => onGo(c.row, c.column)}
              >
                <span className="w-28 shrink-0 font-semibold">
                  Row {rows.indexOf(c.row) + 1}, {nameOf(columns, c.column)}
                </span>
                <Finding cell={c} />
              </button>
            </li>
          );
        })}
        {[...data.worked]
          .sort((x, y) => Number(x.follows) - Number(y.follows))
          .map((w) => (
            <li key={w.column + w.expected} className="flex items-baseline gap-2 px-1.5 py-0.5">
              <span className="w-28 shrink-0 font-semibold">{w.column ? `Column ${w.symbol}` : 'Not there'}</span>
              <span>{w.follows ? `is the ${w.expected}, by a right formula.` : w.words}</span>
            </li>
          ))}
        {data.fits.map((f, i) => (
          <Fitted key={f.graph + i} fit={f} />
        ))}
      </ul>
    </details>
  );
}

const nameOf = (columns: Props['columns'], id: string) => columns.find((c) => c.id === id)?.name ?? id;

function Finding({ cell }: { cell: Judgement['cells'][number] }) {
  return (
    <span>
      {cell.fault && <b className="text-copper">{VERDICTS[cell.verdict] ?? cell.verdict}. </b>}
      {cell.unlooked && (
        <span className="mr-1 inline-flex items-center gap-1 font-semibold whitespace-nowrap">
          <EyeOff size={13} aria-hidden /> Typed without looking.{' '}
        </span>
      )}
      {cell.words} {cell.truth && !cell.words.includes(cell.truth) && <Truth of={cell.truth} />}
    </span>
  );
}

function Truth({ of }: { of: string }) {
  return (
    <span className="whitespace-nowrap text-soft">
      The apparatus showed <span className="mono">{of}</span>.
    </span>
  );
}

function Fitted({ fit }: { fit: Judgement['fits'][number] }) {
  return (
    <li className="flex items-baseline gap-2 px-1.5 py-0.5">
      <span className="w-28 shrink-0 font-semibold">Fit</span>
      <span>
        {fit.trouble}
        {fit.parameters.map((p) => (
          <span key={p.name} className="mr-3">
            <i>{p.name}</i> = <span className="mono">{p.own}</span>
            <span className="text-soft">
              , with what the apparatus showed <span className="mono">{p.truth}</span>
              {p.off && ` (${p.off})`}
            </span>
          </span>
        ))}
      </span>
    </li>
  );
}
