import { RotateCcw } from 'lucide-react';
import { useEffect, useId, useState } from 'react';
import { printShort, type AmountSetting, type Manifest, type Setting, type SettingValue } from '../core';
import { checkSetting } from '../core/models';
import { Select, Slider, Symbol, Toggle } from '../ui';

export type PlainSetting = Exclude<Setting, { type: 'items' }>;

interface Props {
  m: Manifest;
  /** Whose it is: empty for the apparatus itself, else its list or its act. */
  owner?: string;
  s: PlainSetting;
  value: SettingValue;
  onChange: (v: SettingValue) => void;
  /** Told before its name, for one of many alike. */
  of?: string;
}

/** One setting as the manifest declares it: slider and typed value, choice, switch. */
export function SettingField({ m, owner = '', s, value, onChange, of }: Props) {
  const name = of ? `${s.name}, ${of}` : s.name;
  if (s.type === 'switch') return <Toggle label={name} checked={value === true} onChange={onChange} />;
  if (s.type === 'choice') {
    return (
      <div>
        <p className="text-fine" aria-hidden>
          {s.name}
        </p>
        <Select label={name} hideLabel value={String(value)} onChange={onChange} options={s.options} />
      </div>
    );
  }
  return <Amount m={m} owner={owner} s={s} name={name} value={value as number} onChange={onChange} />;
}

interface TypedProps {
  m: Manifest;
  owner: string;
  s: AmountSetting;
  value: number;
  onChange: (v: number) => void;
  id: string;
  label?: string;
  onError: (error: string | null) => void;
  invalid: boolean;
}

/** An amount that is typed, with its unit or without; a bad one stays to be mended. */
export function TypedAmount({ m, owner, s, value, onChange, id, label, onError, invalid }: TypedProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const [was, setWas] = useState(value);
  if (was !== value) {
    setWas(value);
    setTyped(null);
  }
  useEffect(() => onError(null), [value]); // eslint-disable-line react-hooks/exhaustive-deps
  const take = () => {
    if (typed === null) return;
    const answer = checkSetting(m.id, owner, s.id, typed);
    if ('error' in answer) {
      onError(answer.error);
    } else {
      setTyped(null);
      onError(null);
      onChange(answer.value as number);
    }
  };
  return (
    <input
      id={id}
      aria-label={label}
      className="mono h-7 w-18 rounded-house border border-edge bg-sheet px-1.5 text-right"
      value={typed ?? printShort(value)}
      aria-invalid={invalid}
      aria-describedby={`${id}-error`}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={take}
      onKeyDown={(e) => {
        if (e.key === 'Enter') take();
        if (e.key === 'Escape') {
          setTyped(null);
          onError(null);
        }
      }}
    />
  );
}

function Amount({
  m,
  owner,
  s,
  name,
  value,
  onChange,
}: {
  m: Manifest;
  owner: string;
  s: AmountSetting;
  name: string;
  value: number;
  onChange: (v: number) => void;
}) {
  const id = useId();
  const [error, setError] = useState<string | null>(null);
  return (
    <div>
      <div className="flex items-end justify-between gap-2">
        <label htmlFor={id} className="text-fine leading-tight">
          {name}, <Symbol text={s.symbol} />
        </label>
        <span className="flex items-center gap-1">
          <TypedAmount {...{ m, owner, s, value, onChange, id }} onError={setError} invalid={!!error} />
          <span className="w-12 text-fine text-soft">{s.unit}</span>
        </span>
      </div>
      <div className="flex items-center gap-1.5">
        <Slider
          label={name}
          className="flex-1"
          value={value}
          min={s.min}
          max={s.max}
          step={s.step}
          onChange={onChange}
          valueText={`${printShort(value)} ${s.unit}`}
        />
        <button
          type="button"
          aria-label={`Reset ${name} to ${s.initial} ${s.unit}`}
          title="Reset"
          disabled={value === s.initial}
          onClick={() => onChange(s.initial)}
          className="rounded-house p-1 text-soft disabled:invisible"
        >
          <RotateCcw size={13} />
        </button>
      </div>
      {s.note && <p className="text-fine leading-tight text-soft">{s.note}</p>}
      <p id={`${id}-error`} role={error ? 'alert' : undefined} className="text-fine text-copper">
        {error}
      </p>
    </div>
  );
}
