import { useId, useRef, useState } from 'react';
import { Button, Symbol } from '../ui';

/** Functions a formula can call: how one is put in, and what it does. */
const FUNCTIONS: [string, string][] = [
  ['√( )', 'square root'],
  ['ln( )', 'natural logarithm'],
  ['exp( )', 'exponential'],
  ['sin( )', 'sine'],
  ['abs( )', 'absolute value'],
  ['mean( )', 'mean of the column'],
  ['sd( )', 'standard deviation'],
  ['rate( ; )', 'rate of change of one with another'],
  ['area( ; )', 'area under one over another, so far'],
  ['runsum( )', 'running sum'],
  ['prev( )', 'the row before'],
  ['next( )', 'the row after'],
  ['slope( ; )', 'gradient of the line through all rows'],
  ['row', 'row number'],
];
/** Further ones that are offered while typing. */
const ALSO: [string, string][] = [
  ['sqrt( )', 'square root'],
  ['cbrt( )', 'cube root'],
  ['log( )', 'logarithm to base 10'],
  ['cos( )', 'cosine'],
  ['tan( )', 'tangent'],
  ['arcsin( )', 'angle of a sine'],
  ['arccos( )', 'angle of a cosine'],
  ['arctan( )', 'angle of a tangent'],
  ['min( )', 'smallest'],
  ['max( )', 'largest'],
  ['sum( )', 'sum of the column'],
  ['median( )', 'median of the column'],
  ['se( )', 'standard error of the mean'],
  ['count( )', 'number of values'],
  ['intercept( ; )', 'intercept of the line through all rows'],
  ['π', 'pi'],
  ['pi', 'the number π'],
];
const WORD = /[\p{L}_][\p{L}\p{N}_]*$/u;
const MOST = 6;

interface Offer {
  text: string;
  what: string;
  symbol: boolean;
}

/** What a word that is being typed may become; a whole symbol is left alone. */
export function offers(word: string, symbols: { symbol: string; name: string }[]): Offer[] {
  if (!word || symbols.some((s) => s.symbol === word)) return [];
  const low = word.toLowerCase();
  const begins = (text: string) => text.toLowerCase().startsWith(low);
  return [
    ...symbols
      .filter((s) => begins(s.symbol) || begins(s.name))
      .map((s) => ({ text: s.symbol, what: s.name, symbol: true })),
    ...[...FUNCTIONS, ...ALSO]
      .filter(([f]) => begins(f) && f !== word)
      .map(([f, what]) => ({ text: f, what, symbol: false })),
  ].slice(0, MOST);
}

/** A line of text for a formula: offers what a word may become, has buttons for pieces, and points at what is wrong. */
export function FormulaField({
  value,
  onChange,
  symbols,
  trouble,
  troubleAt,
  hint,
}: {
  value: string;
  onChange: (formula: string) => void;
  symbols: { symbol: string; name: string }[];
  trouble: string | null;
  troubleAt: number;
  hint: string;
}) {
  const field = useRef<HTMLInputElement>(null);
  const [caret, setCaret] = useState<number | null>(null);
  const [active, setActive] = useState(-1);
  const id = useId();
  const word = caret === null ? '' : (WORD.exec(value.slice(0, caret))?.[0] ?? '');
  const list = offers(word, symbols);
  const put = (text: string, from: number, to: number) => {
    onChange(value.slice(0, from) + text.replaceAll(' ', '') + value.slice(to));
    const bracket = text.indexOf('(');
    const end = from + (bracket < 0 ? text.length : bracket + 1);
    setCaret(null);
    setActive(-1);
    requestAnimationFrame(() => {
      field.current?.focus();
      field.current?.setSelectionRange(end, end);
    });
  };
  const take = (offer: Offer) => put(offer.text, caret! - word.length, caret!);
  const insert = (text: string) =>
    put(text, field.current?.selectionStart ?? value.length, field.current?.selectionEnd ?? value.length);
  return (
    <>
      <div className="relative flex flex-col gap-1">
        <label htmlFor={id} className="font-semibold">
          Formula
        </label>
        <input
          id={id}
          ref={field}
          role="combobox"
          aria-expanded={list.length > 0}
          aria-controls={`${id}-list`}
          aria-autocomplete="list"
          aria-activedescendant={active >= 0 && active < list.length ? `${id}-${active}` : undefined}
          className="mono min-h-9 rounded-house border border-edge bg-sheet px-2.5 aria-[invalid=true]:border-copper"
          value={value}
          autoComplete="off"
          maxLength={500}
          aria-invalid={!!trouble}
          aria-describedby={`${id}-note`}
          onChange={(e) => {
            onChange(e.target.value);
            setCaret(e.target.selectionStart);
            setActive(-1);
          }}
          onBlur={() => setCaret(null)}
          onKeyDown={(e) => {
            if (list.length === 0) return;
            if (e.key === 'ArrowDown' || e.key === 'ArrowUp') {
              e.preventDefault();
              setActive((active + (e.key === 'ArrowDown' ? 1 : list.length + (active < 0 ? 0 : -1))) % list.length);
            }
            if ((e.key === 'Enter' || e.key === 'Tab') && active >= 0) {
              e.preventDefault();
              take(list[active]);
            }
          }}
        />
        {list.length > 0 && (
          <ul
            id={`${id}-list`}
            role="listbox"
            aria-label="What this may become"
            className="absolute top-[3.9rem] z-10 min-w-64 rounded-house border border-edge bg-sheet p-1"
          >
            {list.map((o, i) => (
              <li
                key={o.text}
                id={`${id}-${i}`}
                role="option"
                aria-selected={i === active}
                className={
                  'flex cursor-pointer gap-3 rounded-house px-2 py-0.5 hover:bg-line/60 ' + 'aria-selected:bg-line/60'
                }
                onMouseDown={(e) => {
                  e.preventDefault();
                  take(o);
                }}
              >
                <span className="mono min-w-16">
                  {o.symbol ? <Symbol text={o.text} /> : o.text.replaceAll(' ', '')}
                </span>
                <span className="text-fine text-soft">{o.what}</span>
              </li>
            ))}
          </ul>
        )}
        {trouble && troubleAt > 0 && (
          <span aria-hidden className="mono px-2.5 leading-none whitespace-pre text-copper">
            {' '.repeat(troubleAt)}↑
          </span>
        )}
        <p id={`${id}-note`} className={`text-fine ${trouble ? 'text-copper' : 'text-soft'}`}>
          {trouble ?? hint}
        </p>
      </div>
      <div className="flex flex-wrap gap-1" role="group" aria-label="Pieces to put in">
        {symbols.map((s) => (
          <Button key={s.symbol} small onClick={() => insert(s.symbol)}>
            <Symbol text={s.symbol} />
          </Button>
        ))}
        {FUNCTIONS.map(([f, what]) => (
          <Button
            key={f}
            small
            kind="quiet"
            title={what}
            aria-label={`${f.replaceAll(/[ ();]/g, '')}: ${what}`}
            onClick={() => insert(f)}
          >
            <span className="mono">{f.replaceAll(' ', '')}</span>
          </Button>
        ))}
      </div>
    </>
  );
}
