import type { Schemas } from '../api/client';
import type { BlockOf } from '../core';
import type { NotebookTable } from '../notebook/table';

/** A recording that a row's words may name: by the options that were chosen for it. */
export interface NamedFilm {
  id: string;
  block: string;
  /** What was chosen, in words, as the recordings are listed. */
  said: string;
  names: string[];
  /** All that can be chosen for recordings like it. */
  offered: string[];
}

/** Recordings by the names of what was chosen for each. */
export function namedFilms(desks: BlockOf<'films' | 'bench'>[], trials: Schemas['TrialView'][]): NamedFilm[] {
  return trials.flatMap((t) => {
    const films = desks.find((d): d is BlockOf<'films'> => d.type === 'films' && d.id === t.block);
    const names = (films?.choices ?? []).flatMap((c) => c.options.find((o) => o.id === t.chosen[c.id])?.name ?? []);
    const offered = (films?.choices ?? []).flatMap((c) => c.options.map((o) => o.name));
    return names.length ? [{ id: t.id, block: t.block, said: names.join(', '), names, offered }] : [];
  });
}

/** A name without what writing it differently changes. */
const plain = (text: string) => [...text.toLowerCase()].filter((c) => /[\p{L}\p{N}]/u.test(c)).join('');

/** How many of a recording's names a row's words say. */
function agreeing(words: string[], film: NamedFilm) {
  const said = words.map(plain).filter(Boolean);
  return film.names.filter((name) => said.some((w) => w === plain(name) || w.includes(plain(name)))).length;
}

/** What a row's words name in the place of what is in front. */
export interface Elsewhere {
  /** In words. */
  said: string;
  /** The recording; missing where it isn't made yet. */
  meant?: NamedFilm;
  here: NamedFilm;
}

/**
 * What a row's own words name, where what is read is something else; nothing where the words name what is in front as
 * well as any, or name nothing at all. Of several recordings alike the last counts.
 */
export function meantElsewhere(words: string[], front: string | undefined, films: NamedFilm[]): Elsewhere | undefined {
  const here = films.find((f) => f.id === front);
  if (!here) return undefined;
  const most = Math.max(...films.map((f) => agreeing(words, f)));
  if (most > agreeing(words, here)) {
    const meant = films.findLast((f) => agreeing(words, f) === most)!;
    return { said: meant.said, meant, here };
  }
  if (most > 0) return undefined;
  const said = here.offered.find((name) => words.some((w) => plain(w) === plain(name)));
  return said ? { said, here } : undefined;
}

/** What stands in a row's columns of words. */
export function wordsOf(table: NotebookTable, row: string) {
  return table.columns.filter((c) => c.kind === 'label').map((c) => table.cells[`${row}/${c.id}`]?.text ?? '');
}
