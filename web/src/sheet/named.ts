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
}

/** Recordings by the names of what was chosen for each. */
export function namedFilms(desks: BlockOf<'films' | 'bench'>[], trials: Schemas['TrialView'][]): NamedFilm[] {
  return trials.flatMap((t) => {
    const films = desks.find((d): d is BlockOf<'films'> => d.type === 'films' && d.id === t.block);
    const names = (films?.choices ?? []).flatMap((c) => c.options.find((o) => o.id === t.chosen[c.id])?.name ?? []);
    return names.length ? [{ id: t.id, block: t.block, said: names.join(', '), names }] : [];
  });
}

/** A name without what writing it differently changes. */
const plain = (text: string) => [...text.toLowerCase()].filter((c) => /[\p{L}\p{N}]/u.test(c)).join('');

/** How many of a recording's names a row's words say. */
function agreeing(words: string[], film: NamedFilm) {
  const said = words.map(plain).filter(Boolean);
  return film.names.filter((name) => said.some((w) => w === plain(name) || w.includes(plain(name)))).length;
}

/**
 * The recording that a row's own words name, where what is read is another one; none where the words name the one in
 * front as well as any, or none at all. Of several alike the last counts.
 */
export function meantElsewhere(words: string[], front: string | undefined, films: NamedFilm[]) {
  const here = films.find((f) => f.id === front);
  if (!here) return undefined;
  const most = Math.max(...films.map((f) => agreeing(words, f)));
  if (most === 0 || agreeing(words, here) === most) return undefined;
  const meant = films.findLast((f) => agreeing(words, f) === most)!;
  return { meant, here };
}

/** What stands in a row's columns of words. */
export function wordsOf(table: NotebookTable, row: string) {
  return table.columns.filter((c) => c.kind === 'label').map((c) => table.cells[`${row}/${c.id}`]?.text ?? '');
}
