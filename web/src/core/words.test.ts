import { expect, test } from 'vitest';
import { inSentence } from './words';

test('names begin small within a sentence, formulas and symbols stay as they are', () => {
  expect(['Length', 'Water above, at the start', 'Push–pull spring', 'Hydrogen iodide'].map(inSentence)).toEqual([
    'length',
    'water above, at the start',
    'push–pull spring',
    'hydrogen iodide',
  ]);
  const kept = ['H₂ put in', 'CaO put in', 'HI at equilibrium', 'Fe³⁺ put in', 'already small', 'T'];
  expect(kept.map(inSentence)).toEqual(kept);
});
