import type { Schemas } from '../../api/client';

export type Answer = Schemas['AnswerLine'];

/** What is looked at together: one answer, or several that are alike. */
export interface Item {
  key: string;
  answers: Answer[];
}

/** Whose answers are alike when they read alike: what is written in words or drawn is each student's own. */
const ALIKE = new Set(['number', 'choice', 'comparison']);

/**
 * What there is to look at, in the server's order, which tells nothing of names; those that most gave come first where
 * alike ones stand together. Who is at work still and has answered nothing isn't shown.
 */
export function itemsOf(type: string, answers: Answer[], only: boolean): Item[] {
  const items = new Map<string, Item>();
  for (const a of answers) {
    if (!a.submitted && a.text === '') continue;
    const alike = ALIKE.has(type) && a.text !== '';
    const key = alike ? `${a.text}/${a.tried?.verdict ?? ''}` : a.workId;
    const item = items.get(key) ?? { key, answers: [] };
    item.answers.push(a);
    items.set(key, item);
  }
  const list = [...items.values()].filter((i) => !only || i.answers.some((a) => !a.mark));
  return ALIKE.has(type) ? list.sort((a, b) => b.answers.length - a.answers.length) : list;
}

/** The mark that all of an item have, if they have the same. */
export function markOf({ answers }: Item): Schemas['AnswerMark'] | undefined {
  const [first, ...others] = answers.map((a) => a.mark);
  if (!first) return undefined;
  return others.every((m) => m?.points === first.points && m.comment === first.comment) ? first : undefined;
}

/** Points that a digit stands for: the level of that place, or as many points; undefined where there are none such. */
export function pointsOf(digit: number, levels: { points: number }[], most: number): number | undefined {
  if (levels.length > 0) return levels[digit - 1]?.points;
  return digit <= most ? digit : undefined;
}
