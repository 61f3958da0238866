import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, expect, test } from 'vitest';
import { blockForms } from '../core/labForm';
import { Tooltip } from 'radix-ui';
import { SchemaForm } from './SchemaForm';
import type { Tree } from './tree';

afterEach(cleanup);

function open(type: string, value: Tree) {
  const told: { now: Tree } = { now: value };
  const schema = blockForms.find((f) => f.type === type)!.schema;
  function Held() {
    const [held, setHeld] = useState(value);
    return (
      <Tooltip.Provider>
        <SchemaForm
          schema={schema}
          value={held}
          onChange={(v) => {
            told.now = v;
            setHeld(v);
          }}
        />
      </Tooltip.Provider>
    );
  }
  render(<Held />);
  return told;
}
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

test('words, numbers and what may be left out', () => {
  const told = open('explanation', { type: 'explanation', id: 'e', prompt: 'Why?', words: 5, points: 2 });
  type('Prompt', 'Why not?');
  type('Points', '2,5');
  type('Words', 'many');
  expect(told.now).toEqual({ type: 'explanation', id: 'e', prompt: 'Why not?', words: 'many', points: 2.5 });
});

test('lists grow, change their order and shrink', () => {
  const told = open('choice', { type: 'choice', id: 'c', prompt: '?', points: 1, choices: [{ text: 'A' }] });
  fireEvent.click(screen.getByRole('button', { name: 'Add one' }));
  type('Text, choices 2', 'B');
  fireEvent.click(screen.getByLabelText('Right, choices 2'));
  expect(told.now.choices).toEqual([{ text: 'A' }, { text: 'B', right: true }]);
  fireEvent.click(screen.getByRole('button', { name: 'choices 2 up' }));
  expect(told.now.choices).toEqual([{ text: 'B', right: true }, { text: 'A' }]);
  fireEvent.click(screen.getByRole('button', { name: 'Take choices 1 away' }));
  expect(told.now.choices).toEqual([{ text: 'A' }]);
});

test('groups that may be missing are added and taken away; one within another keeps its names apart', () => {
  const told = open('number', { type: 'number', id: 'n', prompt: '?', points: 1, key: { unit: 'm' } });
  type('Unit, key', 'cm');
  expect(told.now.key).toEqual({ unit: 'cm' });
  fireEvent.click(screen.getAllByRole('button', { name: 'Add' })[1]);
  type('Formula, following, key', 'mean(L)');
  expect(told.now.key).toMatchObject({ unit: 'cm', following: { formula: 'mean(L)' } });
  fireEvent.click(screen.getByRole('button', { name: 'Without it' }));
  expect(told.now.key).toEqual({ unit: 'cm' });
});

test('values by names are numbers, words, or yes and no', () => {
  const told = open('bench', { type: 'bench', id: 'b', apparatus: 'pendulum', setup: { length: 1 } });
  type('Value of length', '0.5');
  expect(told.now.setup).toEqual({ length: 0.5 });
  type('Value of length', 'true');
  expect(told.now.setup).toEqual({ length: true });
  fireEvent.click(screen.getByRole('button', { name: 'Take length away' }));
  expect(told.now.setup).toBeUndefined();
});
