import { expect, test } from 'vitest';
import { openParts, type Part, type Sheet } from './types';

const part = (id: string, prediction?: string): Part => ({
  id, kind: 'aim', title: id,
  blocks: prediction ? [{ type: 'prediction', id: prediction, prompt: '', choices: [], reasonPrompt: '' }] : [],
});
const sheet = { parts: [part('a'), part('b', 'p'), part('c'), part('d', 'q'), part('e')] } as Sheet;

test('parts open up to and with the first unsealed prediction', () => {
  expect(openParts(sheet, () => false)).toBe(2);
  expect(openParts(sheet, (b) => b === 'p')).toBe(4);
  expect(openParts(sheet, () => true)).toBe(5);
});
