import { Field } from '../ui';

export type LateRule = 'OPEN' | 'MARKED' | 'CLOSED';
/** Times as inputs hold them, in the reader's own zone; empty where there is none. */
export interface Times {
  open: string;
  due: string;
}
/** On which terms a lab is given, but for its times. */
export interface Rules {
  late: LateRule;
  again: boolean;
  /** Points and marks appear to students all together, when the teacher shows them. */
  together: boolean;
  /** Empty: as the lab says. */
  tries: string;
}

export const USUAL: Rules = { late: 'MARKED', again: true, together: false, tries: '' };
const LATE: { id: LateRule; name: string }[] = [
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

/** What such an input holds, as it is sent. */
export const sent = (input: string) => (input ? new Date(input).toISOString() : undefined);

/** The same for rules. */
export const sentRules = (rules: Rules) => ({
  lateRule: rules.late,
  again: rules.again,
  together: rules.together,
  tries: rules.tries ? Number(rules.tries) : undefined,
});

/** What holds for a lab that is given. */
export function RuleFields({ rules, onChange }: { rules: Rules; onChange: (rules: Rules) => void }) {
  return (
    <>
      <fieldset className="flex flex-col gap-1">
        <legend className="font-semibold">After the due time</legend>
        {LATE.map((r) => (
          <label key={r.id} className="flex items-center gap-2">
            <input
              type="radio"
              name="late-rule"
              className="h-4 w-4 accent-(--copper)"
              checked={rules.late === r.id}
              onChange={() => onChange({ ...rules, late: r.id })}
            />
            {r.name}
          </label>
        ))}
      </fieldset>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="h-4 w-4 accent-(--copper)"
          checked={rules.again}
          onChange={(e) => onChange({ ...rules, again: e.target.checked })}
        />
        Students may take back what they handed in, until it is due or marked
      </label>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="h-4 w-4 accent-(--copper)"
          checked={rules.together}
          onChange={(e) => onChange({ ...rules, together: e.target.checked })}
        />
        Points and marks appear to all students together, when you show them
      </label>
      <Field
        label="Tries at each question"
        type="number"
        min={1}
        max={20}
        className="mono w-24 rounded-house border border-edge bg-sheet px-2.5"
        value={rules.tries}
        onChange={(e) => onChange({ ...rules, tries: e.target.value })}
        hint="1 to 20; leave empty for as many as the lab says"
      />
    </>
  );
}

/** When a lab opens, and when it is due. */
export function TimeFields({ times, onChange, of }: { times: Times; onChange: (times: Times) => void; of?: string }) {
  const one = (name: 'open' | 'due', label: string) => (
    <label className="flex flex-col text-fine text-soft">
      {label}
      <input
        type="datetime-local"
        aria-label={of ? `${label}, ${of}` : label}
        className="mono min-h-9 rounded-house border border-edge bg-sheet px-2 text-ink"
        value={times[name]}
        onChange={(e) => onChange({ ...times, [name]: e.target.value })}
      />
    </label>
  );
  return (
    <div className="flex flex-wrap gap-3">
      {one('open', 'Opens')}
      {one('due', 'Due')}
    </div>
  );
}
