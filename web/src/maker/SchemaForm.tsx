import { ChevronDown, ChevronUp, Plus, Trash2 } from 'lucide-react';
import { useContext, useState, type ReactNode } from 'react';
import { resolved, type Schema } from '../core/labForm';
import { Button, IconButton, inputClass } from '../ui';
import { Checks } from './Checks';
import { MarkdownField } from './MarkdownField';
import { Offered, type Offer } from './offers';
import { Pairs } from './Pairs';
import { SettingsGroup } from './SettingsGroup';
import { empty, type Tree } from './tree';
import { meant, plain } from './typed';
import { fieldName } from './words';

/** From how many characters on a text has more than one line. */
const LONG = 400;

interface FieldProps {
  name: string;
  /** How it is called where its name alone doesn't tell it from others. */
  label?: string;
  schema: Schema;
  value: unknown;
  needed: boolean;
  onChange: (value: unknown) => void;
}

/** Fields of a structure, as the core declares them. */
export function SchemaForm({
  schema,
  value,
  within = '',
  onChange,
}: {
  schema: Schema;
  value: Tree;
  within?: string;
  onChange: (value: Tree) => void;
}) {
  const fields = Object.entries(resolved(schema).properties ?? {}).filter(([, s]) => s.const === undefined);
  // Its name on the sheet matters least to whoever writes.
  fields.sort(([a], [b]) => Number(a === 'id') - Number(b === 'id'));
  const set = (field: string, next: unknown) => {
    const others = Object.fromEntries(Object.entries(value).filter(([f]) => f !== field));
    onChange(next === undefined ? others : { ...value, [field]: next });
  };
  const required = resolved(schema).required ?? [];
  const [unused] = useState(() => fields.map(([f]) => f).filter((f) => !required.includes(f) && !(f in value)));
  // What is one of many, and needs enough as it is, shows the rest when it is asked for.
  const rare = within && required.length >= 3 && unused.length > 3 ? unused : [];
  const one = ([field, s]: [string, Schema]) => (
    <Field
      key={field}
      name={field}
      label={within ? `${fieldName(field)}, ${within}` : undefined}
      schema={s}
      value={value[field]}
      needed={required.includes(field)}
      onChange={(v) => set(field, v)}
    />
  );
  return (
    <div className="flex flex-col gap-3">
      {fields.filter(([f]) => !rare.includes(f)).map(one)}
      {rare.length > 0 && (
        <details>
          <summary className="cursor-pointer text-indigo">
            More: {rare.map((f) => fieldName(f).toLowerCase()).join(', ')}
          </summary>
          <div className="flex flex-col gap-3 pt-2">{fields.filter(([f]) => rare.includes(f)).map(one)}</div>
        </details>
      )}
    </div>
  );
}

function Field(props: FieldProps) {
  const s = resolved(props.schema);
  if (s.enum) return <Picked {...props} options={s.enum} />;
  if (s.type === 'boolean') return <Yes {...props} />;
  if (s.type === 'number' || s.type === 'integer') return <Typed {...props} />;
  if (s.type === 'string') return <Written {...props} long={(s.maxLength ?? 0) >= LONG} />;
  if (s.type === 'array') return <Many {...props} schema={s} />;
  if (s.properties) return <Inner {...props} />;
  if (s.additionalProperties) return <Named {...props} />;
  return <Typed {...props} />;
}

function Labelled({ name, schema, children }: Pick<FieldProps, 'name' | 'schema'> & { children: ReactNode }) {
  return (
    <label className="flex flex-col gap-1">
      <span className="font-semibold">{fieldName(name)}</span>
      {schema.description && name !== 'id' && schema.description !== `${fieldName(name)}.` && (
        <span className="text-fine text-soft">{schema.description}</span>
      )}
      {children}
    </label>
  );
}

function Written(props: FieldProps & { long: boolean }) {
  const { value, needed, onChange, long, label, name, schema } = props;
  const offers = useContext(Offered).one[name];
  const shared = {
    value: typeof value === 'string' ? value : value === undefined ? '' : JSON.stringify(value),
    'aria-label': label ?? fieldName(name),
    onChange: (e: { target: { value: string } }) =>
      onChange(e.target.value === '' && !needed ? undefined : e.target.value),
  };
  if (schema.contentMediaType === 'text/markdown')
    return (
      <Labelled {...props}>
        <MarkdownField label={shared['aria-label']} value={shared.value} onChange={onChange} />
      </Labelled>
    );
  if (offers?.length) return <OneOf {...props} offers={offers} />;
  return (
    <Labelled {...props}>
      {long ? (
        <textarea
          className={`${inputClass} min-h-24 py-2`}
          rows={Math.min(14, 2 + shared.value.length / 60)}
          {...shared}
        />
      ) : (
        <input className={inputClass} {...shared} />
      )}
    </Labelled>
  );
}

/** One of what is offered, by its name; what isn't there stays to be seen. */
function OneOf(props: FieldProps & { offers: Offer[] }) {
  const { value, needed, onChange, label, name, offers } = props;
  const now = plain(value);
  const known = offers.some((o) => o.id === now);
  return (
    <Labelled {...props}>
      <select
        className={`${inputClass} max-w-full self-start`}
        aria-label={label ?? fieldName(name)}
        value={now}
        onChange={(e) => onChange(e.target.value === '' && !needed ? undefined : e.target.value)}
      >
        {(!needed || now === '') && <option value="">…</option>}
        {!known && now !== '' && <option value={now}>{now} (unknown)</option>}
        {offers.map((o) => (
          <option key={o.id} value={o.id}>
            {o.name}
          </option>
        ))}
      </select>
    </Labelled>
  );
}

/** A number, or whatever else is typed, which the core then speaks of. */
function Typed(props: FieldProps) {
  const { value, onChange, label, name } = props;
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <Labelled {...props}>
      <input
        className={`${inputClass} mono w-40`}
        inputMode="decimal"
        aria-label={label ?? fieldName(name)}
        value={typed ?? plain(value)}
        onBlur={() => setTyped(null)}
        onChange={(e) => {
          setTyped(e.target.value);
          onChange(meant(e.target.value));
        }}
      />
    </Labelled>
  );
}

function Yes({ name, label, schema, value, needed, onChange }: FieldProps) {
  return (
    <label className="flex items-baseline gap-2">
      <input
        type="checkbox"
        className="accent-copper"
        checked={value === true}
        aria-label={label ?? fieldName(name)}
        onChange={(e) => onChange(e.target.checked || needed ? e.target.checked : undefined)}
      />
      <span>
        <span className="font-semibold">{fieldName(name)}</span>{' '}
        {schema.description && <span className="text-fine text-soft">{schema.description}</span>}
      </span>
    </label>
  );
}

function Picked(props: FieldProps & { options: string[] }) {
  const { name, label, value, needed, options, onChange } = props;
  return (
    <Labelled {...props}>
      <select
        className={`${inputClass} w-48`}
        value={plain(value)}
        aria-label={label ?? fieldName(name)}
        onChange={(e) => onChange(e.target.value || undefined)}
      >
        {(!needed || !options.includes(plain(value))) && (
          <option value={options.includes(plain(value)) ? '' : plain(value)}>…</option>
        )}
        {options.map((o) => (
          <option key={o} value={o}>
            {fieldName(o)}
          </option>
        ))}
      </select>
    </Labelled>
  );
}

/** A group of fields within; one that may be missing can be added and taken away. */
function Inner({ name, label, schema, value, needed, onChange }: FieldProps) {
  const here = typeof value === 'object' && value !== null && !Array.isArray(value);
  return (
    <fieldset className="min-w-0 rounded-house border px-3 py-2">
      <legend className="px-1 font-semibold">{fieldName(name)}</legend>
      {schema.description && <p className="text-fine text-soft">{schema.description}</p>}
      {here ? (
        <SchemaForm
          schema={schema}
          value={value as Tree}
          within={fieldName(label ?? name).toLowerCase()}
          onChange={onChange}
        />
      ) : (
        <Button small onClick={() => onChange(empty(schema))}>
          <Plus size={13} aria-hidden />
          Add
        </Button>
      )}
      {here && !needed && (
        <Button small kind="quiet" className="mt-2" onClick={() => onChange(undefined)}>
          <Trash2 size={13} aria-hidden />
          Without it
        </Button>
      )}
    </fieldset>
  );
}

/** Lists in whose place something else stands where they are left out. */
const USUAL: Record<string, string> = {
  open: 'all',
  acts: 'all',
  instruments: 'all that make sense',
  tableAt: 'as the apparatus suggests',
};

/** A list, item by item. */
function Many(props: FieldProps) {
  const { name, schema, value, needed, onChange } = props;
  const offers = useContext(Offered).several[name];
  if (offers && resolved(schema.items!).type === 'string')
    return (
      <Checks
        name={fieldName(name)}
        about={schema.description}
        usual={USUAL[name] ?? ''}
        {...{ offers, value, needed, onChange }}
      />
    );
  return <Items {...props} />;
}

function Items({ name, schema, value, needed, onChange }: FieldProps) {
  const items = Array.isArray(value) ? (value as unknown[]) : [];
  const set = (next: unknown[]) => onChange(next.length || needed ? next : undefined);
  const of = schema.items!;
  const full = items.length >= (schema.maxItems ?? Infinity);
  return (
    <fieldset className="flex min-w-0 flex-col gap-2 rounded-house border px-3 py-2">
      <legend className="px-1 font-semibold">{fieldName(name)}</legend>
      {schema.description && <p className="text-fine text-soft">{schema.description}</p>}
      {items.map((item, i) => {
        const nth = `${one(fieldName(name).toLowerCase())} ${i + 1}`;
        return (
          <div
            key={i}
            className={
              'flex items-start gap-2 border-b border-dashed pb-2 last-of-type:border-0 ' +
              (resolved(of).properties ? 'flex-wrap' : '')
            }
          >
            <span className="mono w-5 shrink-0 pt-1.5 text-right text-soft">{i + 1}</span>
            <div className={resolved(of).properties ? 'order-last w-full pl-3' : 'min-w-0 flex-1'}>
              <Item
                schema={of}
                value={item}
                label={nth}
                onChange={(v) => set(items.map((o, k) => (k === i ? v : o)))}
              />
            </div>
            <span className="ml-auto flex shrink-0">
              <IconButton label={`${nth} up`} disabled={i === 0} onClick={() => set(swapped(items, i - 1))}>
                <ChevronUp size={14} />
              </IconButton>
              <IconButton
                label={`${nth} down`}
                disabled={i + 1 === items.length}
                onClick={() => set(swapped(items, i))}
              >
                <ChevronDown size={14} />
              </IconButton>
              <IconButton label={`Remove ${nth}`} onClick={() => set(items.filter((_, k) => k !== i))}>
                <Trash2 size={14} />
              </IconButton>
            </span>
          </div>
        );
      })}
      <Button small className="self-start" disabled={full} onClick={() => set([...items, empty(of)])}>
        <Plus size={13} aria-hidden />
        {full ? `At most ${schema.maxItems}` : 'Add one'}
      </Button>
    </fieldset>
  );
}

function swapped(items: unknown[], i: number) {
  const next = [...items];
  [next[i], next[i + 1]] = [next[i + 1], next[i]];
  return next;
}

/** One of a list: its fields, or its value alone. */
function Item({
  schema,
  value,
  label,
  onChange,
}: {
  schema: Schema;
  value: unknown;
  label: string;
  onChange: (value: unknown) => void;
}) {
  const s = resolved(schema);
  if (s.properties) {
    return <SchemaForm schema={s} value={(value ?? {}) as Tree} within={label} onChange={onChange} />;
  }
  return (
    <input
      className={`${inputClass} w-full`}
      aria-label={label}
      value={plain(value)}
      onChange={(e) => onChange(s.type === 'string' ? e.target.value : (meant(e.target.value) ?? ''))}
    />
  );
}

/** Values by names, such as an apparatus's settings. */
function Named(props: FieldProps) {
  const { settings, ranged } = useContext(Offered);
  const { name, schema, value, needed, onChange } = props;
  if (settings.length === 0) return <Pairs {...props} />;
  return (
    <SettingsGroup
      name={fieldName(name)}
      about={schema.description}
      settings={settings}
      ranged={ranged}
      value={typeof value === 'object' && value !== null ? (value as Tree) : {}}
      onChange={(v) => onChange(Object.keys(v).length || needed ? v : undefined)}
    />
  );
}

/** One of several, by the name that all have together. */
const one = (name: string) => (name.endsWith('s') ? name.slice(0, -1) : name);
