import { useState } from 'react';
import { inputClass } from '../ui';

/** A value as it is typed. */
export const plain = (value: unknown) =>
  value === undefined ? '' : typeof value === 'object' ? JSON.stringify(value) : String(value);

/** What typed words stand for: a number, yes or no, a list or group in JSON, or themselves. */
export function meant(typed: string): unknown {
  const t = typed.trim();
  if (t === '') return undefined;
  const number = Number(t.replace(',', '.').replace('−', '-'));
  if (Number.isFinite(number)) return number;
  if (t === 'true' || t === 'false') return t === 'true';
  if (/^[[{]/.test(t)) {
    try {
      return JSON.parse(t) as unknown;
    } catch {
      return t;
    }
  }
  return t;
}

/** A number, or whatever else is typed, which the core then speaks of. */
export function Typed({
  label,
  value,
  onChange,
  wide,
}: {
  label: string;
  value: unknown;
  onChange: (value: unknown) => void;
  wide?: boolean;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <input
      className={`${inputClass} mono min-w-0 ${wide ? 'flex-1' : 'w-24'}`}
      inputMode={wide ? undefined : 'decimal'}
      aria-label={label}
      value={typed ?? plain(value)}
      onBlur={() => setTyped(null)}
      onChange={(e) => {
        setTyped(e.target.value);
        onChange(meant(e.target.value) ?? '');
      }}
    />
  );
}
