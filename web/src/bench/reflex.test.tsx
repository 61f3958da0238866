import { act, fireEvent, render, renderHook, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { initialSettings, manifestOf, type SettingValues } from '../core';
import { openRun } from '../core/models';
import { onAPage } from '../ui/page.fixture';
import { BoxPlotsPanel } from './BoxPlotsPanel';
import { SettingsPanel } from './SettingsPanel';
import type { KeptTrial, TrialShelf } from './trials';
import { useBench } from './useBench';
import { ANSWERS_HERE } from './useCounting';

onAPage();

const m = await manifestOf('reflex-timer');
const tower = await manifestOf('drop-tower');
/** Every wait is two seconds, so that it is known when a cue is due. */
const KNOWN = { shortest: 2, longest: 2, events: 5 };

let now = 0;
let frames: FrameRequestCallback[] = [];

beforeEach(() => {
  now = 1000;
  frames = [];
  vi.stubGlobal('requestAnimationFrame', (f: FrameRequestCallback) => frames.push(f));
  vi.stubGlobal('cancelAnimationFrame', (n: number) => (frames[n - 1] = () => undefined));
  vi.spyOn(performance, 'now').mockImplementation(() => now);
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});

/** A picture so many ms after the beginning. */
function picture(at: number) {
  now = 1000 + at;
  const waiting = frames;
  frames = [];
  act(() => waiting.forEach((f) => f(now)));
}

function key(at: number, name = 'k', more: KeyboardEventInit = {}) {
  const e = new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true, ...more });
  Object.defineProperty(e, 'timeStamp', { value: 1000 + at });
  act(() => void window.dispatchEvent(e));
  return e;
}

function press(target: Element, at: number, more: PointerEventInit = {}) {
  const e = new MouseEvent('pointerdown', { bubbles: true, cancelable: true, ...more });
  Object.defineProperty(e, 'timeStamp', { value: 1000 + at });
  Object.defineProperty(e, 'isPrimary', { value: more.isPrimary ?? true });
  act(() => void target.dispatchEvent(e));
}

function begun(setup: SettingValues = {}) {
  const keep = vi.fn();
  const shelf: TrialShelf = { trials: [], keep };
  const { result } = renderHook(() => useBench(m, shelf, { ...KNOWN, ...setup }));
  const bench = () => result.current;
  act(() => {
    bench().perform(0, 'begin');
    bench().live.counting.begin();
  });
  return { bench, keep, read: (id: string) => read(bench().live.sides[0].run, id) };
}

function read(run: ReturnType<typeof openRun>, id: string) {
  const i = m.channels.findIndex((c) => c.id === id);
  return run.channels()[i] * m.channels[i].perSi;
}

test('an answer counts at its own instant, from the picture in which the lamp was drawn', () => {
  const { read } = begun();
  picture(1990);
  picture(2007);
  // The page comes to look at the key long after it was pressed.
  picture(2600);
  key(2257.5);
  expect(read('last')).toBeCloseTo(250.5, 6);
  expect(read('number')).toBe(1);
});

test('keys that move the focus, held keys and shortcuts answer nothing; Escape breaks off', () => {
  const { bench, read } = begun();
  for (const name of ['Tab', 'Shift', 'Alt']) expect(key(300, name).defaultPrevented).toBe(false);
  key(300, 'r', { ctrlKey: true });
  expect(key(300, 'k', { repeat: true }).defaultPrevented).toBe(true);
  expect(read('false-starts')).toBe(0);
  key(400);
  expect(read('false-starts')).toBe(1);
  key(500, 'Escape');
  expect(bench().live.counting.on).toBe(false);
  expect(bench().live.sides[0].run.isOver()).toBe(true);
});

test('a press answers on the picture, not on a button over it, nor beside it, nor with another finger', () => {
  const { read } = begun();
  render(
    <>
      <div {...{ [ANSWERS_HERE]: '' }}>
        <svg data-testid="picture" />
        <button>Zoom in</button>
      </div>
      <p>beside</p>
    </>,
  );
  press(screen.getByText('Zoom in'), 300);
  press(screen.getByText('beside'), 310);
  press(screen.getByTestId('picture'), 320, { button: 2 });
  press(screen.getByTestId('picture'), 330, { isPrimary: false });
  expect(read('false-starts')).toBe(0);
  press(screen.getByTestId('picture'), 340);
  expect(read('false-starts')).toBe(1);
});

test('out of sight the set is broken off, and says so', () => {
  const { bench } = begun();
  picture(500);
  vi.spyOn(document, 'hidden', 'get').mockReturnValue(true);
  act(() => void document.dispatchEvent(new Event('visibilitychange')));
  expect(bench().live.counting.on).toBe(false);
  expect(bench().live.counting.trouble).toMatch(/out of sight/);
});

test('what is set while a set runs ends it and keeps what it had; nothing goes back over it meanwhile', () => {
  const { bench, keep } = begun();
  picture(2007);
  key(2300);
  act(() => bench().live.seek(0));
  expect(bench().live.sides[0].run.time()).toBeCloseTo(2.3, 9);
  act(() => bench().change(0, 'colour', 'red'));
  expect(bench().live.counting.on).toBe(false);
  const [kept] = keep.mock.lastCall as [KeptTrial];
  expect(kept.outcomes).toMatchObject({ answers: 1 });
  expect(bench().live.sides[0].run.head()).toBe(0);
  picture(2400);
  expect(bench().live.sides[0].run.head()).toBe(0);
});

test('every set has other waits, also one that is kept ready', () => {
  const { bench } = begun();
  const seeds = new Set([bench().live.sides[0].seed]);
  act(() => bench().restart());
  seeds.add(bench().live.sides[0].seed);
  const run = openRun(m.id, { ...initialSettings(m) }, 1);
  const ready = { id: 'x', name: 'x', about: '', recipe: run.recipe(), until: 0, at: 0, shown: {} as never };
  act(() => bench().present(ready));
  seeds.add(bench().live.sides[0].seed);
  expect(seeds.size).toBe(3);
  expect(seeds.has(1)).toBe(false);
});

test('sets stand as boxes, one that can’t be made again by its name alone', () => {
  const trial = (number: number, apparatus: string): KeptTrial => {
    const run = openRun(m.id, { ...initialSettings(m), ...KNOWN }, number);
    run.act({ type: 'perform', act: 'begin' });
    for (let i = 0; i < 5; i++) {
      run.seek(run.time() + 2.01);
      run.act({ type: 'perform', act: 'shown' });
      run.seek(run.time() + 0.2 + 0.01 * number * i);
      run.act({ type: 'perform', act: 'answer' });
    }
    const recipe = { ...run.recipe(), apparatus };
    const kept = { name: '', note: '', at: '', recipe, until: run.head(), scene: [], frame: [], sketches: [] };
    return { ...kept, id: `t${number}`, number, settings: run.settings() };
  };
  const odd = { ...trial(3, m.id), recipe: { ...trial(3, m.id).recipe, modelVersion: 99 } };
  render(<BoxPlotsPanel m={m} distribution={m.distributions[0]} trials={[trial(1, m.id), trial(2, m.id), odd]} />);
  expect(document.querySelectorAll('[data-box]')).toHaveLength(3);
  expect(document.querySelectorAll('[data-box="Trial 1"] circle')).toHaveLength(5);
  expect(screen.getByText(/^Trial 2: the mean is 20 ms more than in Trial 1/)).toBeTruthy();
  expect(screen.getByText('none')).toBeTruthy();
});

test('what bounds a setting bounds its slider and what is typed, and says so', () => {
  const change = vi.fn();
  const values = { ...initialSettings(tower), thing: 'flare', height: 3, opens: 2 };
  render(<SettingsPanel m={tower} values={values} onChange={change} />);
  expect(screen.getByRole('slider', { name: 'Parachute opens at' }).getAttribute('aria-valuemax')).toBe('3');
  const typed = screen.getByRole('textbox', { name: /^Parachute opens at/ });
  fireEvent.change(typed, { target: { value: '4 m' } });
  fireEvent.keyDown(typed, { key: 'Enter' });
  expect(screen.getByRole('alert').textContent).toBe(
    "Parachute opens at: can't be 4 m while Height is 3 m. Allowed: 0.5 to 3 m",
  );
  expect(change).not.toHaveBeenCalled();
  fireEvent.change(typed, { target: { value: '250 cm' } });
  fireEvent.keyDown(typed, { key: 'Enter' });
  expect(change).toHaveBeenCalledWith('opens', 2.5);
});
