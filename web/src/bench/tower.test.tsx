import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { expect, test, vi } from 'vitest';
import { initialSettings, manifestOf, type ItemValues, type SetUp } from '../core';
import { forecast, openRun, replay } from '../core/models';
import { onAPage } from '../ui/page.fixture';
import { ActButton, type Chosen } from './ActButton';
import { Bars } from './Bars';
import { forceLayers } from './ForceArrows';
import { SettingsPanel } from './SettingsPanel';
import { channelItems, summary, valueText } from './words';

onAPage();

const m = await manifestOf('raised-loads');
const rails = await manifestOf('rail-run');
const open = () => openRun(m.id, initialSettings(m), 1);

test('a list is edited whole: a typed field, one more, one less, and what it cannot take', () => {
  const change = vi.fn();
  render(<SettingsPanel m={m} values={initialSettings(m)} onChange={change} />);
  const mass = screen.getByRole('textbox', { name: 'Mass, load 2' });
  fireEvent.change(mass, { target: { value: '500 g' } });
  fireEvent.keyDown(mass, { key: 'Enter' });
  expect((change.mock.lastCall![1] as ItemValues[])[1]).toEqual({ thing: 'rope', mass: 0.5 });
  fireEvent.click(screen.getByText('Add a landing'));
  expect((change.mock.lastCall![1] as ItemValues[]).map((r) => r.height)).toEqual([2.5, 5, 8, 8.8]);
  fireEvent.click(screen.getByLabelText('Take landing 1 away'));
  expect((change.mock.lastCall![1] as ItemValues[]).map((r) => r.height)).toEqual([5, 8]);
  const height = screen.getByRole('textbox', { name: 'Height, landing 3' });
  fireEvent.change(height, { target: { value: '5.2' } });
  fireEvent.keyDown(height, { key: 'Enter' });
  expect(screen.getByText(/Landing 3: Height must be at least 0.8 m more/)).toBeTruthy();
});

test('an act asks with what it is done, and says what stands against it', () => {
  const run = open();
  const [place] = m.acts;
  const choose = vi.fn();
  const todo = vi.fn(() => 'There is no room left there');
  render(<ActButton m={m} run={run} act={place} main onChoose={choose} onDo={todo} />);
  fireEvent.click(screen.getByText(place.name));
  expect([...(screen.getByLabelText('Load') as HTMLSelectElement).options].map((o) => o.text)).toEqual([
    'Drum of lamp oil',
    'Coil of rope',
    'Lead line',
    'Lens ring',
  ]);
  fireEvent.change(screen.getByLabelText('Onto'), { target: { value: '2' } });
  expect(choose).toHaveBeenCalledWith({ load: '1', onto: '2', by: 'hoist', at: 2 });
  fireEvent.click(screen.getByText('Do it'));
  expect(todo).toHaveBeenCalledWith({ load: '1', onto: 'floor', by: 'hoist', at: 2 });
  expect(screen.getByRole('alert').textContent).toBe('There is no room left there');
});

test('an act is done with what is typed, and not at all while that is refused', () => {
  const run = open();
  const todo = vi.fn(() => undefined);
  function Placing() {
    const [chosen, setChosen] = useState<Chosen>();
    return <ActButton m={m} run={run} act={m.acts[0]} main chosen={chosen} onChoose={setChosen} onDo={todo} />;
  }
  render(<Placing />);
  fireEvent.click(screen.getByText(m.acts[0].name));
  const across = screen.getByRole('textbox', { name: /Distance from the wall/ });
  for (const odd of ['abc', '-3', '1e99', '']) {
    across.focus();
    fireEvent.change(across, { target: { value: odd } });
    fireEvent.click(screen.getByText('Do it'));
    expect(screen.getByText(/Distance from the wall: .*Allowed: 0.4 to 3.9 m/)).toBeTruthy();
  }
  expect(todo).not.toHaveBeenCalled();
  across.focus();
  fireEvent.change(across, { target: { value: '3,1' } });
  fireEvent.click(screen.getByText('Do it'));
  expect(todo).toHaveBeenCalledExactlyOnceWith({ load: '1', onto: 'floor', by: 'hoist', at: 3.1 });
  expect(document.activeElement).toBe(across);
});

test('bars of what is there, with numbers or without, and broken off where the scale ends', () => {
  const run = open();
  run.act({ type: 'perform', act: 'place', with: { load: '1', onto: '3' } });
  const { container } = render(<Bars m={m} run={run} ledger="stored" />);
  const picture = () => screen.getByRole('img').getAttribute('aria-label');
  expect(picture()).toBe(
    'Potential energy of each load in J: ' +
      'Drum of lamp oil 1412.6 J, Coil of rope 0.0 J, Lead line 0.0 J, Lens ring 0.0 J',
  );
  expect(container.querySelectorAll('[data-broken]')).toHaveLength(0);
  fireEvent.change(screen.getByLabelText('Up to'), { target: { value: '100' } });
  expect(container.querySelectorAll('[data-broken]')).toHaveLength(1);
  fireEvent.click(screen.getByLabelText('Numbers'));
  expect(picture()).not.toContain('1412.6');
});

test('channels of bodies are called after them, and only while they are there', () => {
  const run = open();
  const names = channelItems(m, run.bodies()).map((c) => c.name);
  expect(names).toContain('Potential energy, coil of rope');
  expect(names.filter((n) => n.startsWith('Potential energy, '))).toHaveLength(4);
  const two = { ...initialSettings(m), landings: [{ height: 3 }, { height: 4.5 }] };
  expect(valueText(m, two, 'landings')).toBe('3 m, 4.5 m');
  expect(summary(m, two)).toContain('3 m, 4.5 m');
});

test('what dragging would mean is told in words, and done as told', () => {
  const run = open();
  const meant = run.dragged('place', 3, 1, 5.2, { by: 'stair' });
  expect(meant.words).toBe('To landing 2 by the stair: Lens ring');
  expect(run.act(meant.action!)).toEqual({});
  expect(run.time()).toBe(1);
  expect(run.actionInWords(0)).toBe(meant.words);
});

test('every set-up that is kept ready opens where it says', () => {
  for (const apparatus of [m, rails])
    for (const s of apparatus.setUps as SetUp[]) {
      const run = replay(s.recipe, s.until);
      run.seek(s.at);
      expect(run.time(), s.name).toBe(s.at);
      for (const id of [...s.shown.readouts, ...s.shown.graphed])
        expect(apparatus.channels.some((c) => c.id === id)).toBe(true);
    }
});

test('what friction will bring about is told before the run; forces are offered where there are any', () => {
  expect(forecast(rails.id, 'friction', initialSettings(rails)).words).toContain('never');
  expect(forecast(rails.id, 'friction', { ...initialSettings(rails), friction: 0.2 }).share).toBeGreaterThan(0.5);
  expect(forecast(rails.id, 'mass', initialSettings(rails))).toEqual({});
  expect(forceLayers(m)).toEqual([]);
  expect(forceLayers(rails)).toHaveLength(3);
});
