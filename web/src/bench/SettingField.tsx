import { RotateCcw } from 'lucide-react';
import { useEffect, useId, useState } from 'react';
import {
  printShort,
  type Advice,
  type AmountSetting,
  type Manifest,
  type Setting,
  type SettingValue,
  type SettingValues,
} from '../core';
import { checkSetting } from '../core/models';
import { Button, Select, Slider, Symbol, Toggle } from '../ui';

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
  /** The settings it stands among, which may bound it. */
  among?: SettingValues;
  /** What it will bring about, where that is told. */
  told?: { share?: number; words?: string };
  /** What people should know of it as things stand, and what to do where a press of its button helps. */
  advice?: Advice;
  onAdvice?: (change: SettingValues) => void;
}

/** One setting as the manifest declares it: slider and typed value, choice, switch. */
export function SettingField({ m, owner = '', s, value, onChange, of, among, told, advice, onAdvice }: Props) {
  const name = of ? `${s.name}, ${of}` : s.name;
  if (s.type === 'switch') return <Toggle label={name} checked={value === true} onChange={onChange} />;
  if (s.type === 'choice') {
    return (
      <div>
        <p className="text-fine" aria-hidden>
          {s.name}
        </p>
        <Select label={name} hideLabel value={String(value)} onChange={onChange} options={s.options} />
        {s.note && <p className="text-fine leading-tight text-soft">{s.note}</p>}
      </div>
    );
  }
  return <Amount {...{ m, owner, s, name, among, told, advice, onAdvice, onChange }} value={value as number} />;
}

interface TypedProps {
  m: Manifest;
  owner: string;
  s: AmountSetting;
  value: number;
  among?: SettingValues;
  onChange: (v: number) => void;
  id: string;
  label?: string;
  onError: (error: string | null) => void;
  invalid: boolean;
}

/** An amount that is typed, with its unit or without; a bad one stays to be mended. */
export function TypedAmount({ m, owner, s, value, among, onChange, id, label, onError, invalid }: TypedProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const [was, setWas] = useState(value);
  if (was !== value) {
    setWas(value);
    setTyped(null);
  }
  useEffect(() => onError(null), [value]); // eslint-disable-line react-hooks/exhaustive-deps
  const take = () => {
    if (typed === null) return;
    const answer = checkSetting(m.id, owner, s.id, typed, among);
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

/** The highest it can be set to now. */
function highest(s: AmountSetting, among?: SettingValues) {
  return among && s.noMoreThan ? Math.min(s.max, among[s.noMoreThan] as number) : s.max;
}

function Amount({
  m,
  owner,
  s,
  name,
  value,
  onChange,
  among,
  told,
  advice,
  onAdvice,
}: {
  m: Manifest;
  owner: string;
  s: AmountSetting;
  name: string;
  value: number;
  onChange: (v: number) => void;
  among?: SettingValues;
  told?: Props['told'];
  advice?: Props['advice'];
  onAdvice?: Props['onAdvice'];
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
          <TypedAmount {...{ m, owner, s, value, among, onChange, id }} onError={setError} invalid={!!error} />
          <span className="w-12 text-fine text-soft">{s.unit}</span>
        </span>
      </div>
      <div className="flex items-center gap-1.5">
        <Slider
          label={name}
          className="flex-1"
          value={value}
          min={s.min}
          max={highest(s, among)}
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
      {told?.words && <Dial share={told.share ?? 0} words={told.words} />}
      {s.note && <p className="text-fine leading-tight text-soft">{s.note}</p>}
      {advice && (
        <div className="mt-1 flex flex-col items-start gap-1 border-l-2 border-copper pl-2" data-advice>
          <p className="text-fine leading-tight">{advice.words}</p>
          {advice.button && (
            <Button small onClick={() => onAdvice?.(advice.change)}>
              {advice.button}
            </Button>
          )}
        </div>
      )}
      <p id={`${id}-error`} role={error ? 'alert' : undefined} className="text-fine text-copper">
        {error}
      </p>
    </div>
  );
}

/** How much it will matter, on a scale from not at all to everything, and what will come of it. */
function Dial({ share, words }: { share: number; words: string }) {
  const angle = Math.PI * (1 - share);
  return (
    <div className="flex items-center gap-2" data-forecast={share.toFixed(2)}>
      <svg className="shrink-0" width="46" height="27" viewBox="0 0 46 27" aria-hidden>
        <path d="M3 24A20 20 0 0 1 43 24" fill="none" stroke="var(--edge)" strokeWidth="4" />
        <path d="M29 5A20 20 0 0 1 43 24" fill="none" stroke="var(--plum)" strokeWidth="4" />
        <line
          x1="23"
          y1="24"
          x2={23 + 17 * Math.cos(angle)}
          y2={24 - 17 * Math.sin(angle)}
          stroke="var(--ink)"
          strokeWidth="2.5"
        />
        <circle cx="23" cy="24" r="2.5" fill="var(--ink)" />
      </svg>
      <p className="text-fine leading-tight">{words}</p>
    </div>
  );
}
