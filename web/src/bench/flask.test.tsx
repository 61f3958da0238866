import { onAPage } from '../ui/page.fixture';
import { render, screen, within } from '@testing-library/react';
import { expect, test } from 'vitest';
import { initialSettings, manifestOf } from '../core';
import { openRun } from '../core/models';
import { corners, MARKS } from '../scenes/equilibrium-flask/particles';
import { Bars } from './Bars';
import { Readouts } from './Readouts';
import { readoutsNow } from './words';

onAPage();

const m = await manifestOf('equilibrium-flask');
const of = (reaction: string) => openRun(m.id, { ...initialSettings(m), reaction }, 1);

test('bars are those of the substances that are there', () => {
  render(<Bars m={m} run={of('lime')} ledger="amounts" />);
  expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
    'Amounts in mol: Calcium carbonate 5.00 mol, Calcium oxide 0.00 mol, Carbon dioxide 0.00 mol',
  );
  expect(within(screen.getByRole('list')).getAllByRole('listitem')).toHaveLength(3);
});

test('readouts of another reaction give way to those of the one in front', () => {
  const chosen = ['iodide-1-n', 'iodide-3-n'];
  const names = (reaction: string) => of(reaction).bodies();
  expect(readoutsNow(m, chosen, names('iodide'))).toBe(chosen);
  const instead = readoutsNow(m, chosen, names('lime'));
  expect(instead).toHaveLength(2);
  expect(readoutsNow(m, [], names('lime'))).toEqual([]);
  const run = of('lime');
  render(<Readouts m={m} shown={instead} values={run.channels()} bodies={run.bodies()} />);
  expect(document.querySelectorAll('[data-channel]')).toHaveLength(2);
  expect(document.body.textContent).toContain('Amount, calcium carbonate');
});

test('each substance has a mark of its own', () => {
  const shapes = MARKS.map(({ shape }) => JSON.stringify(corners(shape)));
  expect(new Set(shapes).size).toBe(MARKS.length);
  expect(new Set(MARKS.map(({ hue }) => hue)).size).toBe(MARKS.length);
});

test('a picture says how true to scale it is', async () => {
  expect(m.scaleNote).toBe('particles not to scale');
  expect((await manifestOf('twin-tanks')).scaleNote).toBe('drawn to scale');
});
