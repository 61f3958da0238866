import { expect, test } from 'vitest';
import { symbolText } from '.';

test('only what belongs to a symbol is lowered, in an equation as alone', () => {
  expect(symbolText('E_p')).toBe('Eₚ');
  expect(symbolText('v_0')).toBe('v₀');
  expect(symbolText('T')).toBe('T');
  expect(symbolText('E_p = 9.81 N/kg · q')).toBe('Eₚ = 9.81 N/kg · q');
  expect(symbolText('F_s = (21.3 ± 0.2) N/m · x_1 + 0 N')).toBe('Fₛ = (21.3 ± 0.2) N/m · x₁ + 0 N');
});
