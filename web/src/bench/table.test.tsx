import { fireEvent, render, screen, within } from '@testing-library/react';
import { Tooltip } from 'radix-ui';
import { expect, test, vi } from 'vitest';
import { initialSettings, manifestOf, type RunTable } from '../core';
import { openRun } from '../core/models';
import { onAPage } from '../ui/page.fixture';
import type { LayRows } from './IntoNotebook';
import { RunTablePanel } from './RunTablePanel';
import { Steps } from './Steps';
import type { BenchState } from './useBench';

onAPage();

const rails = await manifestOf('rail-run');
const tower = await manifestOf('raised-loads');

function rolled(seconds: number) {
  const run = openRun(rails.id, { ...initialSettings(rails), shape: 'trough' }, 1);
  run.seek(seconds);
  return run;
}

const heads = () => screen.getAllByRole('columnheader').map((h) => h.textContent);

test('a run as rows at an interval: the interval is typed, and nonsense is said', () => {
  const run = rolled(1);
  render(<RunTablePanel m={rails} run={run} playing={false} onSeek={() => undefined} />);
  expect(heads()[0]).toBe('t / s');
  const every = screen.getByLabelText(/every/);
  fireEvent.change(every, { target: { value: '0,25' } });
  fireEvent.keyDown(every, { key: 'Enter' });
  expect(screen.queryByRole('alert')).toBeNull();
  for (const nonsense of ['soon', '0', '-1', '']) {
    fireEvent.change(every, { target: { value: nonsense } });
    fireEvent.blur(every);
    expect(screen.getByRole('alert').textContent, nonsense).toMatch(/above 0/);
  }
  fireEvent.change(every, { target: { value: '0.00001' } });
  fireEvent.blur(every);
  expect(screen.getByRole('alert').textContent).toContain('a table takes up to');
});

test("what may be taken is the lab's choice, with rows at its events, and brought in as it is asked for", () => {
  const run = rolled(12);
  const take = vi.fn<LayRows>(() => ({ said: 'They stand there.' }));
  render(
    <RunTablePanel
      m={rails}
      run={run}
      playing={false}
      allowed={['speed']}
      at={['lowest']}
      onSeek={() => undefined}
      onNotebook={take}
    />,
  );
  expect(heads()).toEqual(['t / s', 'event', 'v / m/s']);
  fireEvent.click(screen.getByText('Into the notebook'));
  const [make] = take.mock.lastCall!;
  const table = make(['set.mass', 'height', 'nonsense']) as RunTable;
  expect(table.columns.map((c) => c.id)).toEqual(['time', 'event', 'speed', 'height', 'set.mass']);
  expect(table.rows.length).toBeGreaterThan(2);
  expect(new Set(table.rows.map((r) => r[1]))).toEqual(new Set(['lowest point']));
  // Nothing is lost on the rail: it is as fast each time.
  expect(new Set(table.rows.map((r) => r[2])).size).toBe(1);
  expect(screen.getByText('They stand there.')).toBeTruthy();
  take.mockReturnValue({ trouble: 'A table takes at most 20000 rows; with these it would have 20006.' });
  fireEvent.click(screen.getByText('Into the notebook'));
  expect(screen.getByRole('alert').textContent).toMatch(/at most 20000/);
});

test('a curve of this instant is rows, and follows the moment shown', () => {
  const run = rolled(1);
  render(<RunTablePanel m={rails} run={run} playing={false} onSeek={() => undefined} />);
  const [profile] = rails.profiles;
  fireEvent.change(screen.getByLabelText('Rows'), { target: { value: `profile:${profile.id}` } });
  expect(heads()).toContain(`${profile.along.symbol} / ${profile.along.unit}`);
  expect(screen.queryByText('Columns')).toBeNull();
  expect(screen.queryByRole('alert')).toBeNull();
  expect(screen.getByText('CSV').closest('button')!.disabled).toBe(false);
});

test('the time line of steps says what was done, and goes back and forward over it', () => {
  const run = openRun(tower.id, initialSettings(tower), 1);
  run.act({ type: 'perform', act: 'place', with: { load: '1', onto: '2', by: 'hoist', at: 2 } });
  run.act({ type: 'change', setting: 'level', value: 1 });
  const seek = vi.fn((to: number) => run.seek(to));
  const bench = { m: tower, live: { sides: [{ run }], seek }, restart: vi.fn() } as unknown as BenchState;
  const line = (of: BenchState) => (
    <Tooltip.Provider>
      <Steps bench={of} compact={false} />
    </Tooltip.Provider>
  );
  const { rerender } = render(line(bench));
  const shown = within(document.body);
  expect(document.body.textContent).toMatch(/2 of 2/);
  fireEvent.click(shown.getByLabelText(/step back/i));
  expect(seek).toHaveBeenCalledWith(1);
  rerender(line({ ...bench } as BenchState));
  expect(document.body.textContent).toMatch(/To landing 2 by the hoist: Drum of lamp oil/);
});
