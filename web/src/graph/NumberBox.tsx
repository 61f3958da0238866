import { useState } from 'react';
import { readNumber } from '../core';
import { inputClass } from '../ui';

/** A number that may be left out; what can't be read is marked and changes nothing. */
export function NumberBox({
  label,
  value,
  onChange,
}: {
  label: string;
  value?: number;
  onChange: (v: number | undefined) => void;
}) {
  const [text, setText] = useState(value === undefined ? '' : String(value));
  const read = text.trim() ? readNumber(text) : { value: undefined };
  return (
    <input
      aria-label={label}
      aria-invalid={'error' in read}
      title={'error' in read ? read.error : undefined}
      placeholder="–"
      className={`${inputClass} mono min-h-7! w-20 text-right`}
      value={text}
      onChange={(e) => {
        setText(e.target.value);
        const r = e.target.value.trim() ? readNumber(e.target.value) : { value: undefined };
        if (!('error' in r)) onChange(r.value);
      }}
    />
  );
}
