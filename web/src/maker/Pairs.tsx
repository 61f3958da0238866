import { Plus, Trash2 } from 'lucide-react';
import type { Schema } from '../core/labForm';
import { Button, IconButton, inputClass } from '../ui';
import type { Tree } from './tree';
import { Typed } from './typed';
import { fieldName } from './words';

/** Values by names of which nobody knows which there are. */
export function Pairs({
  name,
  schema,
  value,
  needed,
  onChange,
}: {
  name: string;
  schema: Schema;
  value: unknown;
  needed: boolean;
  onChange: (value: unknown) => void;
}) {
  const rows = Object.entries((value ?? {}) as Tree);
  const set = (next: [string, unknown][]) => onChange(next.length || needed ? Object.fromEntries(next) : undefined);
  return (
    <fieldset className="flex min-w-0 flex-col gap-1.5 rounded-house border px-3 py-2">
      <legend className="px-1 font-semibold">{fieldName(name)}</legend>
      {schema.description && <p className="text-fine text-soft">{schema.description}</p>}
      {rows.map(([key, v], i) => (
        <div key={i} className="flex items-center gap-2">
          <input
            className={`${inputClass} w-40 min-w-0`}
            aria-label={`Name of ${fieldName(name).toLowerCase()} ${i + 1}`}
            value={key}
            onChange={(e) => set(rows.map((r, k) => (k === i ? [e.target.value, v] : r)))}
          />
          <Typed
            wide
            label={`Value of ${key}`}
            value={v}
            onChange={(n) => set(rows.map((r, k) => (k === i ? [key, n] : r)))}
          />
          <IconButton label={`Take ${key} away`} onClick={() => set(rows.filter((_, k) => k !== i))}>
            <Trash2 size={14} />
          </IconButton>
        </div>
      ))}
      <Button small className="self-start" onClick={() => set([...rows, ['', 0]])}>
        <Plus size={13} aria-hidden />
        Add one
      </Button>
    </fieldset>
  );
}
