import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import type { Block, BlockOf } from '../core';
import { BlockView } from './BlockView';
import type { SheetContext } from './kind/kind';
import { listed } from './kinds';
import { context } from './work.fixture';
import { prediction } from './prediction';
import { text } from './text';

afterEach(cleanup);

const expected: BlockOf<'prediction'> = {
  type: 'prediction',
  id: 'p',
  prompt: 'What will happen?',
  choices: ['It grows', 'It shrinks'],
  reasonPrompt: 'Why?',
};

test('a second kind of a type is refused', () => {
  expect(() => listed([text, prediction, text])).toThrow('two kinds of block “text”');
});

test('what is worked on beside the sheet says how far it has come', () => {
  const table: Block = {
    type: 'table',
    id: 't',
    title: 'Readings',
    columns: [],
    rows: 5,
    unitsAsked: false,
    uncertaintiesHidden: false,
    points: 0,
  };
  render(<BlockView block={table} context={context({}).around} />);
  expect(screen.getByText('Readings').parentElement!.textContent).toBe('Readings 2 of 5 rows');
});

test('a prediction can be sealed once something is chosen, and then stands fast', () => {
  const { around, write } = context({});
  render(<BlockView block={expected} context={around} />);
  expect(screen.getByRole('button', { name: /Seal/ })).toHaveProperty('disabled', true);
  fireEvent.click(screen.getByRole('radio', { name: 'It shrinks' }));
  expect(write).toHaveBeenCalledWith('p', 'answer', { choice: 1 });
  cleanup();

  const chosen = context({ 'p/answer': { choice: 1, reason: 'so' } });
  render(<BlockView block={expected} context={chosen.around} />);
  fireEvent.click(screen.getByRole('button', { name: /Seal/ }));
  expect(chosen.write).toHaveBeenCalledWith('p', 'seal', { sealed: true });
  cleanup();

  const sealed = context({ 'p/answer': { choice: 1, reason: 'so' }, 'p/seal': { sealed: true } });
  render(<BlockView block={expected} context={sealed.around} />);
  expect(screen.getByText('Sealed')).toBeTruthy();
  expect(screen.getByRole('radio', { name: 'It shrinks' })).toHaveProperty('disabled', true);
});

test('a question tells what it waits for, how many tries are left, and what an answer brought', async () => {
  const question: BlockOf<'number'> = { type: 'number', id: 'g', prompt: 'How much is g?', points: 3, tries: 6 };
  render(<BlockView block={question} context={context({}, { lacks: () => 'Five rows first.' }).around} />);
  expect(screen.getByText('Five rows first.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Check' })).toBeNull();
  cleanup();

  const check = vi.fn(() =>
    Promise.resolve({ verdict: 'unit', feedback: 'Look at the unit.', points: 1, left: 4, number: '9.8', unit: 'm' }),
  );
  const asked = context(
    { 'g/answer': { number: '9.8', unit: 'm' } },
    { check: check as unknown as SheetContext['check'] },
  );
  render(<BlockView block={question} context={asked.around} />);
  fireEvent.click(screen.getByRole('button', { name: 'Check' }));
  expect(await screen.findByText('Look at the unit.')).toBeTruthy();
  expect(check).toHaveBeenCalledWith('g', '9.8', 'm');
  expect(screen.getByTestId('tries-left').textContent).toBe('4 of 6 tries left.');
  fireEvent.change(screen.getByRole('textbox', { name: 'Unit' }), { target: { value: 'm/s²' } });
  expect(asked.write).toHaveBeenCalledWith('g', 'answer', { number: '9.8', unit: 'm/s²' });
  expect(screen.queryByText('Look at the unit.')).toBeNull();
});

test('an answer that could not be checked says so and stays', async () => {
  const question: BlockOf<'number'> = { type: 'number', id: 'g', prompt: 'How much is g?', points: 3, tries: 6 };
  const away = context(
    { 'g/answer': { number: '9.8' } },
    { check: () => Promise.reject(new Error('The server is away.')) },
  );
  render(<BlockView block={question} context={away.around} />);
  fireEvent.click(screen.getByRole('button', { name: 'Check' }));
  expect(await screen.findByText(/The server is away/)).toBeTruthy();
  expect(screen.getByRole('textbox', { name: 'Number' })).toHaveProperty('value', '9.8');
});
