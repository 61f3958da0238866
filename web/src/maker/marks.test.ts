import { expect, test } from 'vitest';
import { between, lines, put } from './marks';

test('what is chosen is put between marks, and taken out of them again', () => {
  const bold = between({ text: 'a long cord', from: 2, to: 6 }, '**');
  expect(bold).toEqual({ text: 'a **long** cord', from: 4, to: 8 });
  expect(between(bold, '**')).toEqual({ text: 'a long cord', from: 2, to: 6 });
});

test('every line of what is chosen becomes one of a list, and none again', () => {
  const list = lines({ text: 'see\none\ntwo\nend', from: 5, to: 9 }, (i) => `${i + 1}. `);
  expect(list.text).toBe('see\n1. one\n2. two\nend');
  expect(lines(list, (i) => `${i + 1}. `).text).toBe('see\none\ntwo\nend');
});

test('something of its own takes the place of what is chosen', () => {
  expect(put({ text: 'ab', from: 1, to: 1 }, '$x$')).toEqual({ text: 'a$x$b', from: 1, to: 4 });
});
