import { Field } from '../ui';

export type LateRule = 'OPEN' | 'MARKED' | 'CLOSED';
/** A due time as an input holds it, and what comes after it. */
export interface Due {
  at: string;
  rule: LateRule;
}

const RULES: { id: LateRule; name: string }[] = [
  { id: 'MARKED', name: 'work goes on, and counts as late' },
  { id: 'CLOSED', name: 'the lab is closed' },
  { id: 'OPEN', name: 'nothing changes' },
];

/** A time as an input of the browser wants it: in the reader's own zone. */
export function forInput(iso?: string | null): string {
  if (!iso) return '';
  const at = new Date(iso);
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}

/** When a lab is due, and what happens then. */
export function DueFields({ due, onChange }: { due: Due; onChange: (due: Due) => void }) {
  return (
    <>
      <Field
        label="Due"
        type="datetime-local"
        value={due.at}
        onChange={(e) => onChange({ ...due, at: e.target.value })}
        hint="Leave empty for no due time"
      />
      <fieldset disabled={!due.at} className="flex flex-col gap-1 disabled:opacity-45">
        <legend className="font-semibold">After the due time</legend>
        {RULES.map((r) => (
          <label key={r.id} className="flex items-center gap-2">
            <input
              type="radio"
              name="late-rule"
              className="h-4 w-4 accent-(--copper)"
              checked={due.rule === r.id}
              onChange={() => onChange({ ...due, rule: r.id })}
            />
            {r.name}
          </label>
        ))}
      </fieldset>
    </>
  );
}
