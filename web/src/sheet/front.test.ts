import { expect, test } from 'vitest';
import type { Sheet } from '../core';
import { tableWanted, unsealedBefore } from './front';

const sheet = {
  parts: [
    {
      id: 'measure',
      blocks: [
        { type: 'bench', id: 'early' },
        { type: 'comparison', id: 'cases' },
        { type: 'bench', id: 'late' },
      ],
    },
    {
      id: 'tables',
      blocks: [
        { type: 'table', id: 'one' },
        { type: 'table', id: 'two' },
      ],
    },
    {
      id: 'asked',
      blocks: [
        { type: 'number', id: 'q' },
        { type: 'number', id: 'r', restsOn: 'one' },
      ],
    },
    {
      id: 'drawn',
      blocks: [
        { type: 'number', id: 's', restsOn: 'one' },
        { type: 'graph', id: 'g', table: 'two' },
      ],
    },
  ],
} as unknown as Sheet;

test('a part looks at the table of its graph, else at that on which its questions rest', () => {
  expect([0, 1, 2, 3].map((part) => tableWanted(sheet, part))).toEqual([undefined, undefined, 'one', 'two']);
});

test('a bench waits for the predictions above it in its part, and for no others', () => {
  const bench = (id: string) => sheet.parts[0].blocks.find((b) => b.id === id)!;
  expect(unsealedBefore(sheet, bench('late'), () => false)?.id).toBe('cases');
  expect(unsealedBefore(sheet, bench('late'), (id) => id === 'cases')).toBeUndefined();
  expect(unsealedBefore(sheet, bench('early'), () => false)).toBeUndefined();
});
