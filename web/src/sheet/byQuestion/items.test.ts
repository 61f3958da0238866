import { expect, test } from 'vitest';
import { itemsOf, markOf, pointsOf, type Answer } from './items';

const answer = (workId: string, text: string, more: Partial<Answer> = {}): Answer => ({
  workId,
  student: workId,
  submitted: true,
  late: false,
  text,
  slots: {},
  ...more,
});
const tried = (verdict: string) => ({ verdict, feedback: '', points: 0, tries: 1 });

test('numbers that are alike stand together, those that most gave first; the same words found otherwise do not', () => {
  const items = itemsOf(
    'number',
    [
      answer('a', '9.8 m/s²', { tried: tried('right') }),
      answer('b', '98 m/s²', { tried: tried('power-of-ten') }),
      answer('c', '98 m/s²', { tried: tried('power-of-ten') }),
      answer('d', '98 m/s²', { tried: tried('value') }),
    ],
    false,
  );
  expect(items.map((i) => i.answers.map((a) => a.workId))).toEqual([['b', 'c'], ['a'], ['d']]);
});

test('explanations stay in the order of the server, each for itself, also where two are the same', () => {
  const items = itemsOf('explanation', [answer('b', 'It is longer.'), answer('a', 'It is longer.')], false);
  expect(items.map((i) => i.key)).toEqual(['b', 'a']);
});

test('who handed in nothing is shown, who is at work and has nothing is not', () => {
  const items = itemsOf(
    'number',
    [answer('a', ''), answer('b', ''), answer('c', '', { submitted: false }), answer('d', '5', { submitted: false })],
    false,
  );
  expect(items.map((i) => i.key)).toEqual(['a', 'b', '5/']);
});

test('only what has no mark is shown when asked for; one of several is enough', () => {
  const mark = { points: 1, comment: '' };
  const list = [answer('a', '5', { mark }), answer('b', '5'), answer('c', '6', { mark })];
  expect(itemsOf('number', list, true).map((i) => i.key)).toEqual(['5/']);
});

test('several have a mark in common only where it is the same', () => {
  const mark = { points: 1, comment: 'Good.' };
  const of = (...marks: (Answer['mark'] | undefined)[]) =>
    markOf({ key: '', answers: marks.map((m, i) => answer(`${i}`, '', { mark: m })) });
  expect(of(mark, { ...mark })).toEqual(mark);
  expect(of(mark, { ...mark, comment: '' })).toBeUndefined();
  expect(of(mark, undefined)).toBeUndefined();
  expect(of(undefined, mark)).toBeUndefined();
});

test('a digit is a level where there are levels, else so many points', () => {
  expect(pointsOf(2, [{ points: 4 }, { points: 2.5 }], 4)).toBe(2.5);
  expect(pointsOf(3, [{ points: 4 }, { points: 2.5 }], 4)).toBeUndefined();
  expect(pointsOf(3, [], 4)).toBe(3);
  expect(pointsOf(5, [], 4)).toBeUndefined();
});
