import { isShown, printShort, type Distribution, type Manifest, type SettingValues } from '../core';
import type { KeptTrial } from './trials';

/** What a trial is called. */
export function nameOf(t: KeptTrial) {
  return t.name || `Trial ${t.number}`;
}

/** A setting's value as people read it. */
export function valueText(m: Manifest, values: SettingValues, id: string) {
  const s = m.settings.find((x) => x.id === id)!;
  if (s.type === 'switch') return values[id] ? 'on' : 'off';
  if (s.type === 'choice') return s.options.find((o) => o.id === values[id])?.name ?? '';
  return `${printShort(values[id] as number)}${s.unit && ` ${s.unit}`}`;
}

/** What was set otherwise than it is at first, in a few words. */
export function summary(m: Manifest, values: SettingValues) {
  const changed = m.settings.filter((s) => isShown(s.shownWhen, values) && values[s.id] !== s.initial);
  if (changed.length === 0) return 'as it is at first';
  return (
    changed
      .slice(0, 3)
      .map((s) =>
        s.type === 'switch'
          ? `${s.name.toLowerCase()}: ${valueText(m, values, s.id)}`
          : s.type === 'amount'
            ? `${s.symbol.replace('_', '')} = ${valueText(m, values, s.id)}`
            : valueText(m, values, s.id),
      )
      .join(', ') + (changed.length > 3 ? ' …' : '')
  );
}

/** What the populations of a distribution are called now: they are named by choices. */
export function populationNames(m: Manifest, d: Distribution, values: SettingValues) {
  return d.populations.map((p) => {
    const s = m.settings.find((x) => x.id === p);
    return s?.type === 'choice' ? (s.options.find((o) => o.id === values[p])?.name ?? p) : p;
  });
}
