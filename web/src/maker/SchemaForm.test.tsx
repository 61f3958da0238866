import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, expect, test } from 'vitest';
import { blockForms } from '../core/labForm';
import { Tooltip } from 'radix-ui';
import { manifestOf } from '../core';
import { Offered, offersOf } from './offers';
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
const group = (name: string) => screen.getByRole('group', { name });
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

test('words, numbers and what may be left out', () => {
  const told = open('explanation', { type: 'explanation', id: 'e', prompt: 'Why?', words: 5, points: 2 });
  type('Prompt', 'Why not?');
  type('Points', '2,5');
  type('Fewest words', 'many');
  expect(told.now).toEqual({ type: 'explanation', id: 'e', prompt: 'Why not?', words: 'many', points: 2.5 });
});

test('lists grow, change their order and shrink', () => {
  const told = open('choice', { type: 'choice', id: 'c', prompt: '?', points: 1, choices: [{ text: 'A' }] });
  fireEvent.click(screen.getByRole('button', { name: 'Add one' }));
  type('Text, choice 2', 'B');
  fireEvent.click(screen.getByLabelText('Right, choice 2'));
  expect(told.now.choices).toEqual([{ text: 'A' }, { text: 'B', right: true }]);
  fireEvent.click(screen.getByRole('button', { name: 'choice 2 up' }));
  expect(told.now.choices).toEqual([{ text: 'B', right: true }, { text: 'A' }]);
  fireEvent.click(screen.getByRole('button', { name: 'Remove choice 1' }));
  expect(told.now.choices).toEqual([{ text: 'A' }]);
});

test('groups that may be missing are added and taken away; one within another keeps its names apart', () => {
  const told = open('number', { type: 'number', id: 'n', prompt: '?', points: 1, key: { unit: 'm' } });
  type('Unit, key', 'cm');
  expect(told.now.key).toEqual({ unit: 'cm' });
  fireEvent.click(screen.getAllByRole('button', { name: 'Add' })[1]);
  type('Formula, what follows from the student’s table, key', 'mean(L)');
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

/** A block among others of its sheet, with what its fields may speak of by name. */
async function offered(type: string, value: Tree, others: Tree[] = []) {
  const told: { now: Tree } = { now: value };
  const sheet = { parts: [{ id: 'p', blocks: [...others, value] }] };
  const pendulum = await manifestOf('pendulum');
  const offers = offersOf(sheet, value, { pendulum });
  function Held() {
    const [held, setHeld] = useState(value);
    return (
      <Tooltip.Provider>
        <Offered value={offers}>
          <SchemaForm
            schema={blockForms.find((f) => f.type === type)!.schema}
            value={held}
            onChange={(v) => {
              told.now = v;
              setHeld(v);
            }}
          />
        </Offered>
      </Tooltip.Provider>
    );
  }
  render(<Held />);
  return told;
}

test('what a bench shows and lets be done is ticked by name, and settings are taken by name', async () => {
  const bench = { type: 'bench', id: 'b', apparatus: 'pendulum', setup: { length: 1, wind: 3 } };
  const told = await offered('bench', bench);
  fireEvent.click(within(group('What students may change')).getByRole('button', { name: 'Choose' }));
  expect(told.now.open).toContain('drag');
  fireEvent.click(within(group('What students may change')).getByLabelText('Air drag'));
  expect(told.now.open).not.toContain('drag');
  fireEvent.click(within(group('Shown as figures')).getByLabelText('Period by beam timer'));
  expect(told.now.readouts).toEqual(['period']);
  expect(screen.getByText('wind (unknown)')).toBeTruthy();
  fireEvent.change(screen.getAllByLabelText('Add')[0], { target: { value: 'place' } });
  fireEvent.change(screen.getByRole('combobox', { name: 'Gravity' }), { target: { value: 'moon' } });
  expect(told.now.setup).toEqual({ length: 1, wind: 3, place: 'moon' });
});

test('a setting of recordings becomes each student’s own, and a value again', async () => {
  const films = {
    type: 'films',
    id: 'f',
    apparatus: 'pendulum',
    views: ['side'],
    rate: 60,
    seconds: 9,
    fixed: { mass: 2 },
  };
  const told = await offered('films', films);
  fireEvent.click(screen.getByLabelText(/each student’s own/));
  fireEvent.change(screen.getByLabelText('Mass of the bob, to'), { target: { value: '3' } });
  expect(told.now.fixed).toEqual({ mass: { from: 2, to: 3 } });
  fireEvent.click(screen.getByLabelText(/each student’s own/));
  expect(told.now.fixed).toEqual({ mass: 2 });
});

test('other blocks are spoken of by their titles', async () => {
  const table = { type: 'table', id: 't', title: 'Swings', columns: [{ id: 'L', name: 'length' }] };
  const told = await offered('graph', { type: 'graph', id: 'g', table: 'gone' }, [table]);
  fireEvent.change(screen.getByLabelText('Table'), { target: { value: 't' } });
  expect(told.now.table).toBe('t');
  expect(screen.getByRole('option', { name: 'Swings' })).toBeTruthy();
});
