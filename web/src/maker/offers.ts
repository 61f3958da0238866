import { createContext } from 'react';
import { ledgersOf } from '../bench/Bars';
import { forceLayers } from '../bench/ForceArrows';
import { apparatusList, type Manifest, type Setting } from '../core';
import { blocksOf, headingOf, idOf, partsOf, type Tree } from './tree';

/** Something that a field may speak of, by its name. */
export interface Offer {
  id: string;
  name: string;
}

/** What fields may speak of, so that nobody has to know what things are called on the sheet. */
export interface Offers {
  /** For fields that hold one. */
  one: Record<string, Offer[]>;
  /** For fields that hold several. */
  several: Record<string, Offer[]>;
  /** What groups of settings may hold. */
  settings: Setting[];
  /** Whether a setting may be drawn from a range, for each student another. */
  ranged: boolean;
}

export const NOTHING: Offers = { one: {}, several: {}, settings: [], ranged: false };
export const Offered = createContext<Offers>(NOTHING);

const listed = (v: unknown): Tree[] => (Array.isArray(v) ? (v as Tree[]) : []);
const text = (v: unknown) => (typeof v === 'string' ? v : '');
const named = (all: readonly { id: string; name: string }[]): Offer[] => all.map(({ id, name }) => ({ id, name }));
/** Each once, however many have it. */
const each = (all: Offer[]) => [...new Map(all.map((o) => [o.id, o])).values()];

/** The apparatus that blocks of a sheet work with. */
export function apparatusOn(sheet: Tree): string[] {
  const all = partsOf(sheet)
    .flatMap(blocksOf)
    .map((b) => text(b.apparatus));
  const known = new Set(apparatusList.map((a) => a.id));
  return [...new Set(all)].filter((id) => known.has(id)).sort();
}

/** What the fields of one block may speak of. */
export function offersOf(sheet: Tree, one: Tree, manifests: Record<string, Manifest>): Offers {
  const blocks = partsOf(sheet).flatMap(blocksOf);
  const of = (type: string) => blocks.filter((b) => b.type === type);
  const told = (type: string) => of(type).map((b) => ({ id: idOf(b), name: headingOf(b) }));
  const mOf = (b: Tree): Manifest | undefined => manifests[text(b.apparatus)];
  const withM = (type: string) => of(type).flatMap((b) => mOf(b) ?? []);
  const m = mOf(one);
  const tables = told('table');
  const columns = listed(of('table').find((b) => idOf(b) === one.table)?.columns).map((c) => ({
    id: idOf(c),
    name: text(c.name) || idOf(c),
  }));
  const choices = of('films').flatMap((b) => listed(b.choices));
  const paper = (one.paper ?? {}) as Tree;
  const texts = (v: unknown) => (Array.isArray(v) ? v.map((t) => ({ id: String(t), name: String(t) })) : []);
  const onPaper = (field: string) => listed(paper[field]).map((t) => ({ id: idOf(t), name: text(t.name) || idOf(t) }));
  const outcomes = each(withM('bench').flatMap((x) => named(x.outcomes)));
  return {
    one: {
      apparatus: named(apparatusList),
      table: tables,
      restsOn: tables,
      bench: told('bench'),
      films: told('films'),
      along: columns,
      up: columns,
      act: named(m?.acts ?? []),
      choice: each(choices.map((c) => ({ id: idOf(c), name: text(c.name) }))),
      option: each(choices.flatMap((c) => listed(c.options)).map((o) => ({ id: idOf(o), name: text(o.name) }))),
      setting: each(withM('films').flatMap((x) => named(x.settings.filter((s) => s.type === 'amount')))),
      piece: onPaper('pieces'),
      place: onPaper('places'),
      caption: onPaper('captions'),
      label: texts(paper.labels),
      arrow: texts(paper.arrows),
      asLong: texts(paper.arrows),
      longer: texts(paper.arrows),
      outcome: outcomes,
      within: outcomes,
      ...(one.type === 'table' ? heldAgainst(one, choices, [...withM('films'), ...withM('bench')]) : {}),
    },
    several: {
      ...(m ? severalOf(m) : {}),
      ...(one.type === 'table' ? { takes: takenIn(withM('bench')) } : {}),
      spotCheck: blocks.filter((b) => Number(b.points) > 0).map((b) => ({ id: idOf(b), name: headingOf(b) })),
    },
    settings: m?.settings ?? [],
    ranged: one.type === 'films',
  };
}

/** What a table's columns may be held against: all that the apparatus on the sheet show. */
function heldAgainst(table: Tree, choices: Tree[], shown: Manifest[]): Record<string, Offer[]> {
  const told = (sort: string, all: readonly { id: string; name: string }[]) =>
    all.map(({ id, name }) => ({ id, name: `${sort}: ${name}` }));
  const moments = each(shown.flatMap((m) => [...told('act', m.acts), ...told('event', m.events)]));
  const fields = shown.flatMap((m) => m.scene);
  const places = each(
    fields.flatMap(({ id, kind }) => {
      const place = kind === 'length' || kind === 'flag' ? '' : id.replace(/\.[xy]$/, '');
      return place && place !== id ? [{ id: place, name: `place: ${place}` }] : [];
    }),
  );
  return {
    column: listed(table.columns).map((c) => ({ id: idOf(c), name: text(c.name) || idOf(c) })),
    of: each([
      ...choices.map((c) => ({ id: idOf(c), name: `choice: ${text(c.name)}` })),
      ...shown.flatMap((m) => [
        ...told('setting', m.settings),
        ...told('channel', m.channels),
        ...told('outcome', m.outcomes),
        ...told('event', m.events),
      ]),
      ...places,
    ]),
    to: places,
    per: each(fields.filter((f) => f.kind === 'length').map(({ id }) => ({ id, name: `length: ${id}` }))),
    since: moments,
  };
}

/** What a table's column may take in of the benches on the sheet. */
function takenIn(shown: Manifest[]): Offer[] {
  return each([
    { id: 'time', name: 'time' },
    { id: 'step', name: 'step' },
    { id: 'event', name: 'what happened' },
    { id: 'done', name: 'what was done' },
    { id: 'trial', name: 'name of the trial' },
    ...shown.flatMap((m) => [
      ...m.channels.map(({ id, name }) => ({ id, name: `value: ${name}` })),
      ...m.settings
        .filter((s) => s.type !== 'items')
        .map(({ id, name }) => ({ id: `set.${id}`, name: `setting: ${name}` })),
      ...m.outcomes.map(({ id, name }) => ({ id: `came.${id}`, name: `outcome: ${name}` })),
    ]),
  ]);
}

/** What a bench or recordings of an apparatus may show and let be done. */
function severalOf(m: Manifest): Record<string, Offer[]> {
  const channels = named(m.channels);
  return {
    open: named(m.settings),
    acts: named(m.acts),
    readouts: channels,
    layers: [...named(m.layers), ...forceLayers(m)],
    histograms: named(m.distributions),
    graphs: channels,
    bars: named(ledgersOf(m)),
    profiles: named(m.profiles),
    table: [...channels, ...named(m.outcomes), ...named(m.profiles)],
    tableAt: named(m.events),
    instruments: named(m.instruments),
    views: named(m.views),
  };
}
