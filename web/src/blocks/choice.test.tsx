import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import type { Schemas } from '../api/client';
import type { Block, BlockOf } from '../core';
import { BlockView } from './BlockView';
import ChoiceView from './choice/View';
import type { SheetContext } from './kind/kind';
import { context } from './work.fixture';

afterEach(cleanup);

const which: BlockOf<'choice'> = {
  type: 'choice',
  id: 'c',
  prompt: 'Which?',
  choices: [{ text: 'A' }, { text: 'B' }, { text: 'C' }],
  several: true,
  reasonPrompt: 'Why?',
  points: 2,
  tries: 2,
};

test('several may be chosen, in their order, and are checked together', async () => {
  const check = vi.fn(() => Promise.resolve({ verdict: 'value', feedback: 'Not all.', left: 1 }));
  const { around, write } = context({ 'c/answer': { chosen: [3], reason: 'so' } }, { check });
  render(<ChoiceView block={which} context={around} />);
  fireEvent.click(screen.getByLabelText('A'));
  expect(write).toHaveBeenCalledWith('c', 'answer', { chosen: [1, 3], reason: 'so' });
  fireEvent.click(screen.getByLabelText('C'));
  expect(write).toHaveBeenLastCalledWith('c', 'answer', { chosen: [], reason: 'so' });
  fireEvent.change(screen.getByLabelText('Why?'), { target: { value: 'because' } });
  expect(write).toHaveBeenLastCalledWith('c', 'answer', { chosen: [3], reason: 'because' });
  fireEvent.click(screen.getByRole('button', { name: 'Check' }));
  expect(await screen.findByText('Not all.')).toBeTruthy();
  expect(check).toHaveBeenCalledWith('c', '3', '');
  expect(screen.getByText('1 of 2 tries left.')).toBeTruthy();
});

test('while it is checked, what was found before is gone and the network is named', async () => {
  const tried = { number: '3', unit: '', verdict: 'value', feedback: 'Not all.', points: 0, left: 1, all: [] };
  let answer: (found: Schemas['Checked']) => void = () => undefined;
  const check = vi.fn(() => new Promise<Schemas['Checked']>((done) => (answer = done)));
  const { around } = context({ 'c/answer': { chosen: [3], reason: 'so' } }, { check, tried: { c: tried } });
  render(<ChoiceView block={which} context={around} />);
  expect(screen.getByText('Not all.')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Check' }));
  expect(screen.getByText(/needs the network/)).toBeTruthy();
  expect(screen.queryByText('Not all.')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Check' }));
  expect(check).toHaveBeenCalledTimes(1);
  answer({ verdict: 'value', feedback: 'Still not all.', left: 0 });
  expect(await screen.findByText('Still not all.')).toBeTruthy();
  expect(screen.queryByText(/needs the network/)).toBeNull();
});

test('a task to go further stays open when its last word is deleted', () => {
  const block: Block = { type: 'extension', id: 'e', title: 'Going further', prompt: 'Try more.' };
  const { rerender, container } = render(
    <BlockView block={block} context={context({ 'e/answer': { text: 'x' } }).around} />,
  );
  rerender(<BlockView block={block} context={context({ 'e/answer': { text: '' } }).around} />);
  expect(container.querySelector('details')!.open).toBe(true);
});

test('where one is right, another takes its place; nothing chosen can’t be checked', () => {
  const { around, write } = context({ 'c/answer': { chosen: [1] } });
  render(<ChoiceView block={{ ...which, several: false, reasonPrompt: '' }} context={around} />);
  fireEvent.click(screen.getByRole('radio', { name: 'B' }));
  expect(write).toHaveBeenCalledWith('c', 'answer', { chosen: [2] });
  expect(screen.queryByLabelText('Why?')).toBeNull();
  cleanup();
  render(<ChoiceView block={which} context={context({}).around} />);
  expect(screen.getByRole('button', { name: 'Check' })).toHaveProperty('disabled', true);
});

test('what stands as it was tried shows what was found, and a mark', () => {
  const tried = { number: '2', unit: '', verdict: 'right', feedback: 'Right.', points: 2, left: 1, all: [] };
  const mark = { points: 2, comment: 'Good reason.' } as SheetContext['marks'][string];
  const { around } = context(
    { 'c/answer': { chosen: [2] } },
    { tried: { c: tried }, marks: { c: mark }, readOnly: true },
  );
  render(<ChoiceView block={which} context={around} />);
  expect(screen.getByText(/Right\./)).toBeTruthy();
  expect(screen.getByText('Good reason.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Check' })).toBeNull();
});

test('opening questions, extensions and readings', () => {
  const { around, write } = context({});
  const blocks: Block[] = [
    { type: 'opening', id: 'o', prompt: 'What do you know?', words: 3 },
    { type: 'extension', id: 'e', title: 'Going further', prompt: 'Try more.' },
    {
      type: 'reading',
      id: 'r',
      sources: [
        { title: 'A page', about: 'on it', address: 'https://example.org/a' },
        { title: 'A trap', about: '', address: 'javascript:alert(1)' },
      ],
    },
  ];
  blocks.forEach((block) => render(<BlockView block={block} context={around} />));
  fireEvent.change(screen.getByLabelText('What do you know?'), { target: { value: 'A bit' } });
  expect(write).toHaveBeenCalledWith('o', 'answer', { text: 'A bit' });
  fireEvent.change(screen.getByLabelText('Try more.'), { target: { value: 'Done' } });
  expect(write).toHaveBeenCalledWith('e', 'answer', { text: 'Done' });
  expect(screen.getByRole('link', { name: 'A page' }).getAttribute('rel')).toContain('noopener');
  expect(screen.queryByRole('link', { name: 'A trap' })).toBeNull();
});
