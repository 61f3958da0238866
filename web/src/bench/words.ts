import { channelName, inSentence } from '../core/words';
import {
  isShown,
  printFixed,
  printShort,
  type Channel,
  type Distribution,
  type ItemsSetting,
  type ItemValues,
  type Manifest,
  type Outcome,
  type SettingValues,
} from '../core';
import type { KeptTrial } from './trials';

/** What a trial is called. */
export function nameOf(t: KeptTrial) {
  return t.name || `Trial ${t.number}`;
}

/** A value of an outcome, in its own unit, as people read it. */
export function outcomeWords(o: Outcome, value: number) {
  return o.words.length > 0 ? o.words[value] : `${printFixed(value, o.figures)} ${o.unit}`;
}

/** What a trial came to, as people read it. */
export function outcomeText(o: Outcome, t: KeptTrial) {
  const value = t.outcomes?.[o.id];
  if (value === undefined) return '–';
  return outcomeWords(o, value);
}

/** Whether the body that a channel belongs to, if it does to any, is there now. */
export function isThere(m: Manifest, c: Channel, bodies: string[]) {
  return !c.body || !!bodies[m.bodies.findIndex((b) => b.id === c.body)];
}

/** Readouts that are shown: those chosen; where none of them is there now, the first that are. */
export function readoutsNow(m: Manifest, chosen: string[], bodies: string[]) {
  const there = m.channels.filter((c) => isThere(m, c, bodies)).map((c) => c.id);
  return chosen.length === 0 || there.some((id) => chosen.includes(id)) ? chosen : there.slice(0, chosen.length);
}

/** Channels of bodies that are there, by the names they have now. */
export function channelItems(m: Manifest, bodies: string[]) {
  return m.channels.filter((c) => isThere(m, c, bodies)).map((c) => ({ id: c.id, name: channelName(m, c, bodies) }));
}

/** A setting's value as people read it. */
export function valueText(m: Manifest, values: SettingValues, id: string) {
  const s = m.settings.find((x) => x.id === id)!;
  if (s.type === 'switch') return values[id] ? 'on' : 'off';
  if (s.type === 'choice') return s.options.find((o) => o.id === values[id])?.name ?? '';
  if (s.type === 'items') return itemsText(s, values[id] as ItemValues[]);
  return `${printShort(values[id] as number)}${s.unit && ` ${s.unit}`}`;
}

/** A list of things in a line: what each is, and its numbers. */
function itemsText(s: ItemsSetting, rows: ItemValues[]) {
  const one = (row: ItemValues) =>
    s.fields
      .map((f) => {
        if (f.type === 'choice') return inSentence(f.options.find((o) => o.id === row[f.id])?.name ?? '');
        return `${printShort(row[f.id] as number)} ${f.unit}`;
      })
      .join(' ');
  return rows.map(one).join(', ');
}

function alike(a: unknown, b: unknown) {
  return a === b || JSON.stringify(a) === JSON.stringify(b);
}

/** What was set otherwise than it is at first, in a few words. */
export function summary(m: Manifest, values: SettingValues) {
  const changed = m.settings.filter((s) => isShown(s.shownWhen, values) && !alike(values[s.id], s.initial));
  if (changed.length === 0) return 'as it is at first';
  return (
    changed
      .slice(0, 3)
      .map((s) =>
        s.type === 'switch'
          ? `${inSentence(s.name)}: ${valueText(m, values, s.id)}`
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
