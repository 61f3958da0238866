import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import type { BlockOf } from '../core';
import View from './comparison/View';
import { context } from './work.fixture';

afterEach(cleanup);

const block: BlockOf<'comparison'> = {
  type: 'comparison',
  id: 'c',
  prompt: 'Fast or slow?',
  options: ['fast', 'slow'],
  cases: [{ text: 'hot above' }, { text: 'hot below' }],
  points: 2,
  tries: 3,
};

const predicted = { 'c/predicted/1': { option: 1 }, 'c/predicted/2': { option: 2 } };

test('every case is predicted before it can be sealed; what is seen isn’t asked for yet', () => {
  const { around, write } = context({ 'c/predicted/1': { option: 1 } });
  render(<View block={block} context={around} />);
  const seal = screen.getByRole('button', { name: 'Seal my predictions' });
  expect(seal).toHaveProperty('disabled', true);
  fireEvent.change(screen.getByLabelText('Predicted: hot below'), { target: { value: '2' } });
  expect(write).toHaveBeenCalledWith('c', 'predicted/2', { option: 2 });
  expect(screen.queryByLabelText('Seen: hot above')).toBeNull();
  cleanup();
  const ready = context(predicted);
  render(<View block={block} context={ready.around} />);
  fireEvent.click(screen.getByRole('button', { name: 'Seal my predictions' }));
  expect(ready.write).toHaveBeenCalledWith('c', 'seal', { sealed: true });
});

test('once sealed, predictions stand and what was seen is checked', async () => {
  const check = vi.fn(() => Promise.resolve({ verdict: 'value', feedback: '1 of 2 are as it is.', left: 2 }));
  const slots = { ...predicted, 'c/seal': { sealed: true }, 'c/seen/1': { option: 2 } };
  const { around, write } = context(slots, { check });
  const { rerender } = render(<View block={block} context={around} />);
  expect(screen.queryByLabelText('Predicted: hot above')).toBeNull();
  expect(screen.getByRole('button', { name: 'Check' })).toHaveProperty('disabled', true);
  fireEvent.change(screen.getByLabelText('Seen: hot below'), { target: { value: '1' } });
  expect(write).toHaveBeenCalledWith('c', 'seen/2', { option: 1 });
  rerender(<View block={block} context={context({ ...slots, 'c/seen/2': { option: 1 } }, { check }).around} />);
  fireEvent.click(screen.getByRole('button', { name: 'Check' }));
  expect(await screen.findByText('1 of 2 are as it is.')).toBeTruthy();
  expect(check).toHaveBeenCalledWith('c', '2, 1', '');
  expect(screen.getByText('2 of 3 tries left.')).toBeTruthy();
});

test('handed in, it is words to read', () => {
  const { around } = context(
    { ...predicted, 'c/seal': { sealed: true }, 'c/seen/1': { option: 2 } },
    { readOnly: true },
  );
  const { container } = render(<View block={block} context={around} />);
  expect(container.querySelector('select')).toBeNull();
  expect([...container.querySelectorAll('tbody tr')].map((r) => r.textContent)).toEqual([
    'hot abovefastslow',
    'hot belowslow–',
  ]);
});
