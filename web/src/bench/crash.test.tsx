import { act, fireEvent, render, renderHook, screen, within } from '@testing-library/react';
import { expect, test, vi } from 'vitest';
import { initialSettings, manifestOf, type RunTable, type SettingValues } from '../core';
import { openRun, trialTable } from '../core/models';
import { onAPage } from '../ui/page.fixture';
import { CameTo } from './CameTo';
import type { Laid, MakeTable } from './IntoNotebook';
import { OverTrials } from './OverTrials';
import { paceText } from '../core/time';
import type { KeptTrial } from './trials';
import { useRuns } from './useRuns';
import { channelItems, outcomeText } from './words';

onAPage();

const m = await manifestOf('crash-rig');
const END = 1;

function kept(number: number, changed: SettingValues): KeptTrial {
  const settings = { ...initialSettings(m), ...changed };
  const run = openRun(m.id, settings, 1);
  run.seek(END);
  const values = run.outcomes();
  return {
    id: `t${number}`,
    number,
    name: '',
    note: '',
    at: '2026-11-26T10:00:00Z',
    recipe: run.recipe(),
    until: run.head(),
    settings,
    scene: [],
    frame: [],
    sketches: [],
    outcomes: Object.fromEntries(m.outcomes.map((o, i) => [o.id, values[i] * o.perSi])),
  };
}

test('a run that is over stands at its end, and Run shows it again', () => {
  const { result } = renderHook(() => useRuns(m, initialSettings(m)));
  act(() => result.current.seek(END));
  const { run } = result.current.sides[0];
  expect(run.isOver()).toBe(true);
  expect(run.time()).toBeCloseTo(0.32, 9);
  let error: string | undefined;
  act(() => {
    error = result.current.act(0, { type: 'change', setting: 'front', value: 300 });
  });
  expect(error).toBeTruthy();
  act(() => result.current.play(true));
  expect(run.time()).toBe(0);
  expect(run.head()).toBeCloseTo(0.32, 9);
});

test('what a run came to is told once it is settled, words as words, and only what may be seen', () => {
  const run = openRun(m.id, { ...initialSettings(m), front: 300, belt: false }, 1);
  const { rerender } = render(<CameTo m={m} run={run} />);
  expect(screen.queryByText('Likelihood of survival')).toBeNull();
  expect(screen.getByText('Cost of the build, in crowns')).toBeTruthy();
  run.seek(END);
  rerender(<CameTo m={m} run={run} />);
  expect(screen.getByText('Chest was stopped by').nextElementSibling!.textContent).toBe('wheel');
  expect(screen.getByText('Likelihood of survival').nextElementSibling!.textContent).toMatch(/^0\.\d %$/);
  rerender(<CameTo m={m} run={run} only={['cost']} />);
  expect(screen.getAllByRole('definition')).toHaveLength(1);
});

test('a run stops where an outcome is settled, and is told so', () => {
  const run = openRun(m.id, initialSettings(m), 1);
  const last = m.outcomes.findIndex((o) => o.id === 'survival');
  expect(run.stopAt({ type: 'outcome', outcome: 'nothing' }).error).toMatch(/no outcome/);
  expect(run.stopAt({ type: 'outcome', outcome: m.outcomes[last].id })).toEqual({});
  expect(run.advance(0.001)).toBe(false);
  expect(run.outcomes()[last]).toBeNaN();
  expect(run.advance(10)).toBe(true);
  expect(run.outcomes()[last]).not.toBeNaN();
  const settled = run.time();
  run.seek(settled - 1e-6);
  expect(run.outcomes()[last]).toBeNaN();
});

test('all trials in a table and as points, and into the notebook with their origin', () => {
  const trials = [kept(1, { front: 700 }), kept(2, { front: 250 }), kept(3, { front: 250, bag: true })];
  const take = vi.fn<(make: MakeTable, of: KeptTrial[]) => Laid>(() => ({ said: '3 rows stand there.' }));
  const { container } = render(
    <OverTrials m={m} trials={trials} told={m.outcomes} onNotebook={take} onClose={() => undefined} />,
  );
  const dialog = within(screen.getByRole('dialog'));
  // Only what isn't the same in all stands there from the beginning.
  const heads = dialog.getAllByRole('columnheader').map((h) => h.textContent);
  expect(heads.slice(0, 4)).toEqual(['trial', 'Ff / kN', 'Airbag', 'P / %']);
  expect(document.querySelectorAll('[data-point]')).toHaveLength(3);
  const rows = dialog.getAllByRole('row').slice(1);
  expect(rows.map((r) => r.textContent!.slice(0, 13))).toEqual(['Trial 1700off', 'Trial 2250off', 'Trial 3250on9']);
  expect(
    outcomeText(
      m.outcomes.find((o) => o.id === 'head-met')!,
      trials[2],
    ),
  ).toBe('airbag');
  fireEvent.change(dialog.getByLabelText('Along'), { target: { value: 'came.cost' } });
  expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/against Cost of the build/);
  fireEvent.click(dialog.getByText('Into the notebook'));
  const [make, of] = take.mock.lastCall!;
  const table = make([]) as RunTable;
  expect(table.rows.map((r) => r[1])).toEqual(['700', '250', '250']);
  expect(table.times).toEqual(trials.map((t) => t.until));
  expect(of.map((t) => t.id)).toEqual(['t1', 't2', 't3']);
  expect(dialog.getByText('3 rows stand there.')).toBeTruthy();
  // What a column of the notebook takes comes too, though it was the same in all trials; what isn't told doesn't.
  const more = make(['set.cabin', 'set.none', 'came.cost']) as RunTable;
  expect(more.columns.map((c) => c.id).filter((id) => !table.columns.some((c) => c.id === id))).toEqual(['set.cabin']);
  // Pressed ten times, it is taken once; other columns are another table.
  for (let i = 0; i < 10; i++) fireEvent.click(dialog.getByText('Into the notebook'));
  expect(take).toHaveBeenCalledTimes(1);
  expect(container).toBeTruthy();
});

test('what stands against taking a table is said, and it can be tried again', () => {
  const trials = [kept(1, { front: 700 }), kept(2, { front: 250 })];
  const take = vi.fn((): Laid => ({ trouble: 'This lab has no table to take them into.' }));
  render(<OverTrials m={m} trials={trials} told={m.outcomes} onNotebook={take} onClose={() => undefined} />);
  const dialog = within(screen.getByRole('dialog'));
  fireEvent.click(dialog.getByText('Into the notebook'));
  expect(dialog.getByRole('alert').textContent).toMatch(/no table/);
  fireEvent.click(dialog.getByText('Into the notebook'));
  expect(take).toHaveBeenCalledTimes(2);
});

test('what belongs to the second sled is offered only where there is one', () => {
  const names = (values: SettingValues) =>
    channelItems(m, openRun(m.id, { ...initialSettings(m), ...values }, 1).bodies()).map((c) => c.name);
  expect(names({})).not.toContain('Velocity, second sled');
  expect(names({ met: 'sled' })).toContain('Velocity, second sled');
});

test('a table of trials says what is wrong with what it is asked', () => {
  expect(trialTable(m.id, [], ['front'])).toHaveProperty('error');
  expect(paceText(m)).toBe('slowed 50 times');
});
