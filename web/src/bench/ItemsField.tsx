import { Plus, RotateCcw, Trash2 } from 'lucide-react';
import { useId, useState } from 'react';
import { type ItemsSetting, type ItemValues, type Manifest, type SettingValue } from '../core';
import { addItem, checkSetting } from '../core/models';
import { Button, Select, Slider, Symbol, Toggle } from '../ui';
import { TypedAmount, type PlainSetting } from './SettingField';

/** A setting that is a list of things: each with its fields, one more, one less. */
export function ItemsField({
  m,
  s,
  value,
  onChange,
}: {
  m: Manifest;
  s: ItemsSetting;
  value: ItemValues[];
  onChange: (v: SettingValue) => void;
}) {
  const id = useId();
  const [error, setError] = useState<string | null>(null);
  const take = (answer: { value: SettingValue } | { error: string }) => {
    if ('error' in answer) setError(answer.error);
    else {
      setError(null);
      onChange(answer.value);
    }
  };
  const set = (row: number, field: string, to: SettingValue) =>
    take(
      checkSetting(
        m.id,
        '',
        s.id,
        value.map((r, i) => (i === row ? { ...r, [field]: to as number } : r)),
      ),
    );
  const fields = s.fields as PlainSetting[];
  const first = JSON.stringify(value) === JSON.stringify(s.initial);
  return (
    <section aria-labelledby={id} className="flex flex-col gap-1">
      <header className="flex items-center justify-between">
        <h3 id={id} className="text-fine font-semibold">
          {s.name}
        </h3>
        <button
          type="button"
          aria-label={`Reset ${s.name}`}
          title="Reset"
          disabled={first}
          onClick={() => take(checkSetting(m.id, '', s.id, s.initial as ItemValues[]))}
          className="rounded-house p-1 text-soft disabled:invisible"
        >
          <RotateCcw size={13} />
        </button>
      </header>
      <ul className="flex flex-col">
        {value.map((row, i) => {
          const of = `${s.one} ${i + 1}`;
          return (
            <li key={i} className="flex items-start gap-1.5 border-t py-1" data-item={`${s.id}.${i + 1}`}>
              <div className="grid min-w-0 flex-1 gap-0.5">
                {fields.every((f) => f.type !== 'choice') && (
                  <span className="text-fine text-soft first-letter:uppercase">{of}</span>
                )}
                {fields.map((f) => (
                  <ItemField
                    key={f.id}
                    {...{ m, f, of }}
                    owner={s.id}
                    value={row[f.id]}
                    onChange={(v) => set(i, f.id, v)}
                  />
                ))}
              </div>
              <button
                type="button"
                aria-label={`Take ${of} away`}
                title={`Take ${of} away`}
                disabled={value.length <= s.least}
                onClick={() =>
                  take(
                    checkSetting(
                      m.id,
                      '',
                      s.id,
                      value.filter((_, k) => k !== i),
                    ),
                  )
                }
                className="rounded-house p-1 text-soft enabled:hover:text-ink disabled:opacity-30"
              >
                <Trash2 size={13} />
              </button>
            </li>
          );
        })}
      </ul>
      <Button small disabled={value.length >= s.most} onClick={() => take(addItem(m.id, s.id, value))}>
        <Plus size={13} aria-hidden />
        Add a {s.one}
      </Button>
      <p role={error ? 'alert' : undefined} className="text-fine text-copper">
        {error}
      </p>
    </section>
  );
}

/** A field of one of them, on a line of its own: there are many. */
function ItemField({
  m,
  owner,
  f,
  of,
  value,
  onChange,
}: {
  m: Manifest;
  owner: string;
  f: PlainSetting;
  of: string;
  value: SettingValue;
  onChange: (v: SettingValue) => void;
}) {
  const id = useId();
  const [error, setError] = useState<string | null>(null);
  const label = `${f.name}, ${of}`;
  if (f.type === 'switch') return <Toggle label={label} checked={value === true} onChange={onChange} />;
  if (f.type === 'choice')
    return (
      <Select
        className="[&_select]:w-full"
        label={label}
        hideLabel
        value={String(value)}
        onChange={onChange}
        options={f.options}
      />
    );
  return (
    <>
      <span className="flex items-center gap-1.5">
        <span className="w-5 text-fine">
          <Symbol text={f.symbol} />
        </span>
        <Slider
          label={label}
          className="min-w-12 flex-1"
          value={value as number}
          min={f.min}
          max={f.max}
          step={f.step}
          onChange={onChange}
          valueText={`${String(value)} ${f.unit}`}
        />
        <TypedAmount
          {...{ m, owner, id, label, onChange }}
          s={f}
          value={value as number}
          onError={setError}
          invalid={!!error}
        />
        <span className="text-fine text-soft">{f.unit}</span>
      </span>
      <p id={`${id}-error`} role={error ? 'alert' : undefined} className="text-fine text-copper">
        {error}
      </p>
    </>
  );
}
