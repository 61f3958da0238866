import type { Channel, Manifest } from './types';

/**
 * A name as it stands within a sentence: it begins small, unless its first word is a formula, a symbol or an
 * abbreviation, which would mean something else then: CaO, H₂, HI.
 */
export function inSentence(name: string) {
  const [first] = name.split(' ');
  const isWord = first.length === 1 ? first === 'A' : /^\p{Lu}[\p{Ll}\p{Pd}’',.]+$/u.test(first);
  return isWord ? name[0].toLowerCase() + name.slice(1) : name;
}

/** What a run comes to that pages tell; the rest is for the keys of questions. */
export function toldOutcomes(m: Manifest) {
  return m.outcomes.filter((o) => !o.unshown);
}

/** A channel's name, with the body it belongs to. */
export function channelName(m: Manifest, c: Channel, bodies: string[]) {
  const of = c.body ? bodies[m.bodies.findIndex((b) => b.id === c.body)] : '';
  return of ? `${c.name}, ${inSentence(of)}` : c.name;
}
