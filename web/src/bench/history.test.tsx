import { onAPage } from '../ui/page.fixture';
import { act, fireEvent, render, screen, within } from '@testing-library/react';
import { expect, test, vi } from 'vitest';
import { Tooltip } from 'radix-ui';
import { initialSettings, manifestOf } from '../core';
import { openRun } from '../core/models';
import { HistogramPanel } from './HistogramPanel';
import { sceneOf } from '../scenes';
import { neighbourEvent } from './TimeLine';
import { paceText, timeText } from '../core/time';
import type { KeptTrial } from './trials';
import { TrialsPanel } from './TrialsPanel';
import { populationNames } from './words';

onAPage();

const gas = await manifestOf('gas-cylinder');
const spring = await manifestOf('hanging-spring');
const tanks = await manifestOf('twin-tanks');

test('time is shown in the unit of the apparatus', () => {
  expect(timeText(spring, 1.23456)).toBe('1.235 s');
  expect(timeText(gas, 1.23456e-10)).toBe('123.5 ps');
  expect([paceText(spring), paceText(gas)]).toEqual([null, 'slowed 10¹⁰ times']);
  expect(paceText(tanks)).toBe('60 times as fast');
  expect(timeText(tanks, 90)).toBe('1.5 min');
});

test('the neighbouring event is the next and the last, and none beyond the ends', () => {
  const run = openRun(spring.id, initialSettings(spring), 1);
  run.seek(1.5);
  const times = [...run.events()].filter((_, i) => i % 2 === 1);
  run.seek(times[2]);
  expect(neighbourEvent(run, 1)).toBe(times[3]);
  expect(neighbourEvent(run, -1)).toBe(times[1]);
  run.seek(0);
  expect(neighbourEvent(run, -1)).toBeNull();
  run.seek(1.5);
  expect(neighbourEvent(run, 1)).toBeNull();
});

test('the histogram counts every molecule, names the gases, and gives the share above the limit', () => {
  const settings = { ...initialSettings(gas), count1: 800, count2: 300 };
  const run = openRun(gas.id, settings, 3);
  const d = gas.distributions[0];
  render(
    <HistogramPanel
      m={gas}
      run={run}
      distribution={d}
      names={populationNames(gas, d, settings)}
      layers={new Set(['tag'])}
    />,
  );
  expect(screen.getByText(/nitrogen, N₂/).textContent).toContain('800');
  expect(screen.getByText(/helium, He/).textContent).toContain('300');
  expect(screen.getByText('molecules in each bin')).toBeTruthy();
  expect(screen.getByText('the tagged molecule')).toBeTruthy();
  const shares = [...document.querySelectorAll('[data-share]')].map((e) => parseFloat(e.textContent!));
  // Above 600 m/s at 300 K: a quarter of nitrogen, nine tenths of helium.
  expect(shares[0]).toBeGreaterThan(19);
  expect(shares[0]).toBeLessThan(32);
  expect(shares[1]).toBeGreaterThan(82);
  fireEvent.change(screen.getByLabelText('Show'), { target: { value: '1' } });
  expect(document.querySelectorAll('[data-histogram]')).toHaveLength(1);
});

function kept(number: number, more: Partial<KeptTrial> = {}): KeptTrial {
  const settings = initialSettings(spring);
  const run = openRun(spring.id, settings, 1);
  run.seek(1);
  return {
    id: `t${number}`,
    number,
    name: '',
    note: '',
    at: '2026-03-02T09:30:00Z',
    recipe: run.recipe(),
    until: 1,
    settings,
    scene: [...run.scene()],
    frame: [...run.frame('front')],
    sketches: [],
    ...more,
  };
}

test('a deleted trial goes from the list and can be brought back', async () => {
  const shelf = { trials: [kept(1), kept(2), kept(3, { removed: true })], keep: vi.fn() };
  const nothing = () => undefined;
  await sceneOf(spring.id);
  await act(async () => {
    render(
      <Tooltip.Provider>
        <TrialsPanel
          m={spring}
          shelf={shelf}
          current={null}
          behind={null}
          onOpen={nothing}
          onRepeat={nothing}
          onBehind={nothing}
        />
      </Tooltip.Provider>,
    );
  });
  expect(screen.queryByLabelText('Name of trial 3')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Delete Trial 2' }));
  expect(shelf.keep).toHaveBeenLastCalledWith(expect.objectContaining({ id: 't2', removed: true }));
  fireEvent.click(within(screen.getByRole('status')).getByRole('button', { name: 'Undo' }));
  expect(shelf.keep).toHaveBeenLastCalledWith(expect.objectContaining({ id: 't2', removed: false }));
  fireEvent.change(screen.getByLabelText('Note on trial 1'), { target: { value: 'good' } });
  expect(shelf.keep).toHaveBeenLastCalledWith(expect.objectContaining({ id: 't1', note: 'good' }));
  expect((screen.getByRole('button', { name: 'Compare' }) as HTMLButtonElement).disabled).toBe(true);
});

test('a recipe taken from one run gives the same gas in another', () => {
  const run = openRun(gas.id, { ...initialSettings(gas), count1: 300 }, 5);
  run.seek(30e-12);
  run.act({ type: 'change', setting: 'count1', value: 500 });
  run.seek(60e-12);
  const before = [...run.channels()];
  run.seek(10e-12);
  expect(run.settings().count1).toBe(300);
  run.seek(60e-12);
  expect(run.settings().count1).toBe(500);
  expect([...run.channels()]).toEqual(before);
});
