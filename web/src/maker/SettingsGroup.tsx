import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { printShort, type Setting } from '../core';
import { IconButton, Select, Symbol } from '../ui';
import { Typed } from './typed';
import type { Tree } from './tree';

const isRange = (v: unknown): v is { from: unknown; to: unknown } =>
  typeof v === 'object' && v !== null && 'from' in v && 'to' in v;

/** Settings of an apparatus by name, each with a value or, where that is offered, a range. */
export function SettingsGroup({
  name,
  about,
  settings,
  ranged,
  value,
  onChange,
}: {
  name: string;
  about?: string;
  settings: Setting[];
  ranged: boolean;
  value: Tree;
  onChange: (value: Tree) => void;
}) {
  const set = (id: string, v: unknown) => onChange({ ...value, [id]: v });
  const left = settings.filter((s) => !(s.id in value));
  return (
    <fieldset className="flex min-w-0 flex-col gap-1.5 rounded-house border px-3 py-2">
      <legend className="px-1 font-semibold">{name}</legend>
      {about && <p className="text-fine text-soft">{about}</p>}
      {Object.entries(value).map(([id, v]) => {
        const s = settings.find((one) => one.id === id);
        return (
          <div key={id} className="flex flex-wrap items-center gap-2">
            <span className="min-w-44 flex-1">{s?.name ?? `${id} (unknown)`}</span>
            <One s={s} label={s?.name ?? id} ranged={ranged} value={v} onChange={(n) => set(id, n)} />
            <IconButton
              label={`Take ${s?.name ?? id} away`}
              onClick={() => onChange(Object.fromEntries(Object.entries(value).filter(([other]) => other !== id)))}
            >
              <Trash2 size={14} />
            </IconButton>
          </div>
        );
      })}
      {left.length > 0 && (
        <Select
          label="Add"
          value=""
          onChange={(id) => {
            const s = settings.find((one) => one.id === id)!;
            set(id, s.initial);
          }}
          options={[{ id: '', name: 'a setting …' }, ...left.map(({ id, name: called }) => ({ id, name: called }))]}
        />
      )}
    </fieldset>
  );
}

function One({
  s,
  label,
  ranged,
  value,
  onChange,
}: {
  s: Setting | undefined;
  label: string;
  ranged: boolean;
  value: unknown;
  onChange: (value: unknown) => void;
}) {
  const [held, setHeld] = useState<unknown>();
  if (s?.type === 'choice') {
    const known = s.options.some((o) => o.id === value);
    return (
      <Select
        label={label}
        hideLabel
        value={String(value)}
        onChange={onChange}
        options={[...(known ? [] : [{ id: String(value), name: `${String(value)} (unknown)` }]), ...s.options]}
      />
    );
  }
  if (s?.type === 'switch')
    return (
      <input
        type="checkbox"
        className="h-4 w-4 accent-(--copper)"
        aria-label={label}
        checked={value === true}
        onChange={(e) => onChange(e.target.checked)}
      />
    );
  if (s?.type !== 'amount') return <Typed label={label} value={value} onChange={onChange} wide />;
  const unit = (
    <span className="w-14 text-fine text-soft">
      {s.unit} <span className="sr-only">for {s.symbol}</span>
    </span>
  );
  return (
    <>
      <span className="text-fine text-soft" title={`from ${printShort(s.min)} to ${printShort(s.max)} ${s.unit}`}>
        <Symbol text={s.symbol} />
      </span>
      {isRange(value) ? (
        <>
          <Typed label={`${label}, from`} value={value.from} onChange={(v) => onChange({ ...value, from: v })} />
          <span>to</span>
          <Typed label={`${label}, to`} value={value.to} onChange={(v) => onChange({ ...value, to: v })} />
        </>
      ) : (
        <Typed label={label} value={value} onChange={onChange} />
      )}
      {unit}
      {ranged && (
        <label className="flex items-center gap-1 text-fine">
          <input
            type="checkbox"
            className="accent-(--copper)"
            checked={isRange(value)}
            onChange={(e) => {
              setHeld(value);
              if (!e.target.checked) onChange(isRange(value) ? value.from : value);
              else onChange(isRange(held) && held.from === value ? held : { from: value, to: value });
            }}
          />
          each student’s own
        </label>
      )}
    </>
  );
}
