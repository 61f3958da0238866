import { onAPage } from '../ui/page.fixture';
import { act, fireEvent, render, screen } from '@testing-library/react';
import { useRef, useState } from 'react';
import { Tooltip } from 'radix-ui';
import { expect, test } from 'vitest';
import { manifestOf, type Manifest } from '../core';
import { SettingsPanel } from './SettingsPanel';
import { Transport } from './Transport';
import type { KeptTrial } from './trials';
import { useBench, type BenchState } from './useBench';

onAPage();

const pendulum = await manifestOf('pendulum');
const flask = await manifestOf('equilibrium-flask');
const gas = await manifestOf('gas-cylinder');

/** A bench without its picture, and what it has kept. */
function mount(m: Manifest) {
  const seen: { bench?: BenchState; trials: KeptTrial[] } = { trials: [] };
  function Bench() {
    const [, draw] = useState(0);
    const kept = useRef(seen.trials);
    const bench = useBench(m, {
      trials: kept.current,
      keep: (trial) => {
        kept.current = seen.trials = [...kept.current.filter((t) => t.id !== trial.id), trial];
        draw((n) => n + 1);
      },
    });
    seen.bench = bench;
    return (
      <Tooltip.Provider>
        <SettingsPanel m={m} values={bench.live.sides[0].settings} onChange={(id, v) => bench.change(0, id, v)} />
        <Transport bench={bench} />
      </Tooltip.Provider>
    );
  }
  render(<Bench />);
  return seen;
}

function type(name: RegExp, value: string) {
  const [field] = screen.getAllByRole('textbox', { name });
  fireEvent.change(field, { target: { value } });
  fireEvent.keyDown(field, { key: 'Enter' });
}

test('what is changed where a run stands still is for the next run, or this one goes on with it', () => {
  const seen = mount(pendulum);
  act(() => seen.bench!.live.seek(2.5));
  act(() => seen.bench!.keepAll());
  type(/^Length/, '0.6');
  expect(screen.getByTestId('changed').textContent).toContain('Length to the middle of the bob 0.6 m');
  expect(screen.getByText('Go on')).toBeTruthy();
  fireEvent.click(screen.getByText('Take the change back'));
  expect(screen.queryByTestId('changed')).toBeNull();
  expect(seen.bench!.live.sides[0].settings.length).toBe(1);

  type(/^Length/, '0.6');
  fireEvent.click(screen.getByText('New run'));
  expect(seen.bench!.live.sides[0].run.head()).toBe(0);
  expect(seen.bench!.live.sides[0].settings.length).toBe(0.6);
  const [first] = seen.trials;
  expect(first.settings.length).toBe(1);
  expect(first.recipe.actions).toEqual([]);
  act(() => seen.bench!.live.seek(3));
  act(() => seen.bench!.keepAll());
  expect(seen.trials.map((t) => t.settings.length)).toEqual([1, 0.6]);

  // Gone on with, it is part of the run.
  type(/^Length/, '0.8');
  act(() => seen.bench!.live.seek(4));
  act(() => seen.bench!.keepAll());
  expect(screen.queryByTestId('changed')).toBeNull();
  expect(seen.trials[1].recipe.actions).toHaveLength(1);
});

test('what can’t be done to what ran waits for the next run', () => {
  const seen = mount(flask);
  act(() => seen.bench!.live.seek(100));
  const before = [...seen.bench!.live.sides[0].run.channels()];
  type(/^H₂ put in/, '0');
  type(/^HI put in/, '10');
  expect(screen.getByTestId('changed').textContent).toContain('H₂ put in 0 mol; HI put in 10 mol');
  fireEvent.click(screen.getByText('New run'));
  expect(seen.bench!.live.sides[0].settings).toMatchObject({ 'iodide-1': 0, 'iodide-2': 5, 'iodide-3': 10 });
  expect(seen.trials[0].settings).toMatchObject({ 'iodide-1': 5, 'iodide-3': 0 });
  expect(before.length).toBeGreaterThan(0);
});

test('a setting that does nothing now says so, with a button that helps', () => {
  const seen = mount(gas);
  expect(document.querySelector('[data-advice]')!.textContent).toContain('The walls are insulated');
  fireEvent.click(screen.getByText('Hold the walls at T'));
  expect(seen.bench!.live.sides[0].settings.heat).toBe('held');
  expect(document.querySelector('[data-advice]')).toBeNull();
});
