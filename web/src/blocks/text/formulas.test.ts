import { expect, test } from 'vitest';
import { draw } from './formulas';

function drawn(html: string) {
  const text = document.createElement('div');
  text.innerHTML = html;
  draw(text);
  return text;
}

test('formulas become MathML, on their own or in a line', () => {
  const text = drawn(
    '<p>As <span class="formula">T = 2\\pi\\sqrt{L/g}</span></p><span class="formula alone">x^2</span>',
  );
  expect(text.querySelectorAll('math').length).toBe(2);
  expect(text.querySelector('msqrt')).toBeTruthy();
  expect(text.querySelector('.alone math')?.getAttribute('display')).toBe('block');
});

test('one that can’t be read stays as it was written, and nothing in it becomes a page', () => {
  const text = drawn(
    '<span class="formula">\\frac{1}{</span><span class="formula">\\href{javascript:alert(1)}{x}</span>',
  );
  expect(text.querySelector('.formula')!.textContent).toBe('\\frac{1}{');
  expect(text.querySelector('a')).toBeNull();
});
