import { expect, test } from 'vitest';
import type { Schemas } from '../api/client';
import { merged, needing, numbered } from './merge';

const line = (id: string, more: Partial<Schemas['LiveLine']> = {}): Schemas['LiveLine'] => ({
  studentId: `00000000-0000-7000-8000-${id.padStart(12, '0')}`,
  name: id,
  state: 'working',
  here: true,
  part: 'Measure',
  done: 1,
  reading: '',
  tries: 0,
  points: 0,
  toMark: false,
  signs: [],
  ...more,
});

const whole = (students: Schemas['LiveLine'][], more: Partial<Schemas['LiveClass']> = {}): Schemas['LiveClass'] => ({
  id: 'a',
  title: 'Lamp',
  classId: 'c',
  className: 'Physics 10',
  code: 'ABC',
  parts: ['Aim'],
  of: 10,
  whole: true,
  students,
  ...more,
});

test('an event changes the lines it tells and leaves the order and the others', () => {
  const known = whole([line('1'), line('2'), line('3')]);
  const now = merged(known, whole([line('2', { reading: 'L 41.0 cm' })], { whole: false }));
  expect(now.students.map((s) => s.reading)).toEqual(['', 'L 41.0 cm', '']);
  expect(merged(now, whole([line('3')])).students).toHaveLength(1);
});

test('a pause comes with an event that tells of nobody, and goes with the next', () => {
  const pause = { words: '', since: '2026-01-01T00:00:00Z', until: '2026-01-01T00:30:00Z' };
  const now = merged(whole([line('1')]), whole([], { whole: false, paused: pause }));
  expect(now.students).toHaveLength(1);
  expect(now.paused).toEqual(pause);
  expect(merged(now, whole([], { whole: false })).paused).toBeUndefined();
});

test('who asked comes before who shows a sign, the longest waiting first', () => {
  const call = (askedAt: string) => ({ about: 'Measure', words: '', askedAt });
  const { asked, stuck } = needing([
    line('1', { signs: ['nothing new for 7 min'] }),
    line('2', { call: call('2026-01-01T10:05:00Z'), signs: ['3 wrong tries at “g?”'] }),
    line('3', { call: call('2026-01-01T10:01:00Z') }),
    line('4'),
  ]);
  expect(asked.map((s) => s.name)).toEqual(['3', '2']);
  expect(stuck.map((s) => s.name)).toEqual(['1']);
});

test('numbers in place of names go by what was drawn by lot, and are the same in any order', () => {
  const [a, b] = [line('9'), line('2')];
  expect([...numbered([a, b]).values()]).toEqual(['Student 1', 'Student 2']);
  expect(numbered([a, b]).get(b.studentId)).toBe('Student 1');
  expect(numbered([b, a])).toEqual(numbered([a, b]));
});
