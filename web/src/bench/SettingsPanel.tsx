import { memo, useCallback, useRef } from 'react';
import { isShown, type ItemValues, type Manifest, type Setting, type SettingValue, type SettingValues } from '../core';
import { advice, forecast } from '../core/models';
import { ItemsField } from './ItemsField';
import { SettingField } from './SettingField';

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
  const one = (s: Setting) =>
    s.type === 'items' ? (
      <ItemsField key={s.id} m={m} s={s} value={values[s.id] as ItemValues[]} onChange={(v) => onChange(s.id, v)} />
    ) : (
      <SettingField
        key={s.id}
        m={m}
        s={s}
        value={values[s.id]}
        among={values}
        onChange={(v) => onChange(s.id, v)}
        told={s.type === 'amount' && s.forecast ? forecast(m.id, s.id, values) : undefined}
        advice={s.type === 'amount' && s.advised ? advice(m.id, s.id, values) : undefined}
        onAdvice={(change) => Object.entries(change).forEach(([id, v]) => onChange(id, v))}
      />
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
