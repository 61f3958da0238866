import { RotateCcw } from 'lucide-react';
import { memo, useCallback, useEffect, useId, useRef, useState } from 'react';
import {
  isShown,
  printShort,
  type AmountSetting,
  type Manifest,
  type Setting,
  type SettingValue,
  type SettingValues,
} from '../core';
import { checkSetting } from '../core/models';
import { Select, Slider, Symbol, Toggle } from '../ui';

interface Props {
  m: Manifest;
  values: SettingValues;
  onChange: (id: string, value: SettingValue) => void;
  only?: string[];
  /** Beside one another, for a band below a picture; without headings. */
  lying?: boolean;
}

/** Settings as the manifest declares them, all or `only` some: slider and typed value, choice, switch. */
export function SettingsPanel(props: Props) {
  const latest = useRef(props.onChange);
  latest.current = props.onChange;
  const onChange = useCallback((id: string, value: SettingValue) => latest.current(id, value), []);
  return <Panel {...props} onChange={onChange} />;
}

// While it runs the bench is drawn sixty times a second; its settings only when one has changed.
const Panel = memo(
  PanelNow,
  (a, b) =>
    a.m === b.m &&
    a.only === b.only &&
    a.lying === b.lying &&
    a.onChange === b.onChange &&
    JSON.stringify(a.values) === JSON.stringify(b.values),
);

function PanelNow({ m, values, onChange, only, lying }: Props) {
  const shown = m.settings.filter((s) => isShown(s.shownWhen, values) && (!only || only.includes(s.id)));
  const one = (s: Setting) => (
    <OneSetting key={s.id} m={m} s={s} value={values[s.id]} onChange={(v) => onChange(s.id, v)} />
  );
  if (lying)
    return (
      <div className="grid grid-cols-[repeat(auto-fill,minmax(13rem,1fr))] items-start gap-x-6 gap-y-1">
        {shown.map(one)}
      </div>
    );
  const groups = [...new Set(shown.map((s) => s.group))];
  return (
    <div className="flex flex-col gap-3">
      {groups.map((group) => (
        <section key={group} className="flex flex-col gap-2.5">
          {group && (
            <h3 className="border-t pt-2.5 text-fine font-semibold text-soft first-letter:uppercase">{group}</h3>
          )}
          {shown.filter((s) => s.group === group).map(one)}
        </section>
      ))}
    </div>
  );
}

function OneSetting({
  m,
  s,
  value,
  onChange,
}: {
  m: Manifest;
  s: Setting;
  value: SettingValue;
  onChange: (v: SettingValue) => void;
}) {
  if (s.type === 'switch') return <Toggle label={s.name} checked={value === true} onChange={onChange} />;
  if (s.type === 'choice') {
    return (
      <div>
        <p className="text-fine" aria-hidden>
          {s.name}
        </p>
        <Select label={s.name} hideLabel value={String(value)} onChange={onChange} options={s.options} />
      </div>
    );
  }
  return <Amount m={m} s={s} value={value as number} onChange={onChange} />;
}

function Amount({
  m,
  s,
  value,
  onChange,
}: {
  m: Manifest;
  s: AmountSetting;
  value: number;
  onChange: (v: number) => void;
}) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const shown = printShort(value);
  useEffect(() => {
    setTyped(null);
    setError(null);
  }, [value]);
  const take = () => {
    if (typed === null) return;
    const answer = checkSetting(m.id, s.id, typed);
    if ('error' in answer) {
      setError(answer.error);
    } else {
      setTyped(null);
      setError(null);
      onChange(answer.value as number);
    }
  };
  return (
    <div>
      <div className="flex items-end justify-between gap-2">
        <label htmlFor={id} className="text-fine leading-tight">
          {s.name}, <Symbol text={s.symbol} />
        </label>
        <span className="flex items-center gap-1">
          <input
            id={id}
            className="mono h-7 w-18 rounded-house border border-edge bg-sheet px-1.5 text-right"
            value={typed ?? shown}
            aria-invalid={!!error}
            aria-describedby={`${id}-error`}
            onChange={(e) => setTyped(e.target.value)}
            onBlur={take}
            onKeyDown={(e) => {
              if (e.key === 'Enter') take();
              if (e.key === 'Escape') {
                setTyped(null);
                setError(null);
              }
            }}
          />
          <span className="w-12 text-fine text-soft">{s.unit}</span>
        </span>
      </div>
      <div className="flex items-center gap-1.5">
        <Slider
          label={s.name}
          className="flex-1"
          value={value}
          min={s.min}
          max={s.max}
          step={s.step}
          onChange={onChange}
          valueText={`${shown} ${s.unit}`}
        />
        <button
          type="button"
          aria-label={`Reset ${s.name} to ${s.initial} ${s.unit}`}
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
