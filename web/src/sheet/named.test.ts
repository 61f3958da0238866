import { expect, test } from 'vitest';
import { meantElsewhere, type NamedFilm } from './named';

const film = (id: string, ...names: string[]): NamedFilm => ({
  id,
  block: 'f',
  said: names.join(', '),
  names,
  offered: ['Spar', 'Kelp', 'Wrack'],
});
const films = [
  film('a', 'Spar', 'empty, 0.40 kg'),
  film('b', 'Kelp', 'empty, 0.40 kg'),
  film('c', 'Kelp', 'one weight, 0.60 kg'),
];

test('a row whose words name another recording than the one in front is told so', () => {
  expect(meantElsewhere(['spar'], 'b', films)).toMatchObject({ meant: { id: 'a' }, here: { id: 'b' } });
  expect(meantElsewhere(['Kelp, second go'], 'a', films)?.meant?.id).toBe('c');
  expect(meantElsewhere(['Kelp', 'empty 0.40 kg'], 'c', films)?.meant?.id).toBe('b');
});

test('words that name what isn’t recorded yet are told, too', () => {
  expect(meantElsewhere(['wrack'], 'b', films)).toEqual({ said: 'Wrack', here: films[1] });
});

test('nothing is said where the words fit what is in front, name nothing, or nothing is in front', () => {
  expect(meantElsewhere(['Kelp'], 'b', films)).toBeUndefined();
  expect(meantElsewhere(['Kelp'], 'c', films)).toBeUndefined();
  expect(meantElsewhere(['my first row'], 'b', films)).toBeUndefined();
  expect(meantElsewhere(['Spar'], undefined, films)).toBeUndefined();
  expect(meantElsewhere(['Spar'], 'a bench trial', films)).toBeUndefined();
  expect(meantElsewhere([], 'b', [])).toBeUndefined();
});
