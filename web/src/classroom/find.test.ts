import { expect, test } from 'vitest';
import { apparatusList } from '../core';
import { ANYTHING, fittingApparatus, fittingLabs, occurring, type LabView } from './find';

const lab = (title: string, apparatus: string, minutes: number, ...ways: string[]): LabView => ({
  id: title,
  title,
  summary: `About ${title}`,
  minutes,
  apparatus,
  points: 10,
  ways,
});
const LABS = [
  lab('The clock', 'pendulum', 45, 'recordings'),
  lab('The tower', 'raised-loads', 50, 'bench'),
  lab('The cupboard', 'reaction-balance', 60, 'recordings', 'bench'),
];
const labs = (wanted: Partial<typeof ANYTHING>) =>
  fittingLabs(LABS, apparatusList, { ...ANYTHING, ...wanted }).map((l) => l.title);
const apparatus = (wanted: Partial<typeof ANYTHING>) =>
  fittingApparatus(LABS, apparatusList, { ...ANYTHING, ...wanted }).map((a) => a.id);

test('nothing asked for is everything', () => {
  expect(labs({})).toHaveLength(3);
  expect(apparatus({})).toHaveLength(18);
});

test('every word has to occur, wherever it does', () => {
  expect(labs({ words: 'clock' })).toEqual(['The clock']);
  expect(labs({ words: 'GRAVITY  tower' })).toEqual(['The tower']);
  expect(apparatus({ words: 'cupboard' })).toEqual(['reaction-balance']);
  expect(labs({ words: 'zebra' })).toEqual([]);
});

test('topics and quantities come from what an apparatus declares', () => {
  expect(occurring(apparatusList, (a) => a.topics)).toContain('density');
  expect(occurring(apparatusList, (a) => a.quantities)).toEqual(
    expect.arrayContaining(['force', 'length', 'mass', 'time', 'volume', 'temperature', 'energy']),
  );
  expect(labs({ topic: 'reference level' })).toEqual(['The tower']);
  expect(labs({ quantity: 'volume' })).not.toContain('The clock');
  expect(apparatus({ quantity: 'volume' })).toContain('volume-bench');
});

test('a way to work and a time are those of labs', () => {
  expect(labs({ way: 'recordings' })).toEqual(['The clock', 'The cupboard']);
  expect(labs({ way: 'bench', time: '50' })).toEqual(['The tower']);
  expect(apparatus({ way: 'recordings', time: '50' })).toEqual(['pendulum']);
});
