import { expect, test } from 'vitest';
import { initialSettings, instruments, manifestOf, uncertaintyOf } from '../core';
import { openRun } from '../core/models';
import { pictureOfRun } from '../picture/picture';
import { describe } from './describe';
import { freshPlacing } from './placing';
import { snapPoints, snapTo } from './snap';
import { displayFor, displays, type InstrumentState } from './useInstruments';

const m = await manifestOf('hanging-spring');
const run = openRun(m.id, { ...initialSettings(m), damping: 0 }, 1);
run.seek(4);
const picture = pictureOfRun(m, run.scene(), run.frame('front'));

function state(more: Partial<InstrumentState>): InstrumentState {
  return {
    tray: instruments,
    picture,
    placing: {},
    setPlacing: () => undefined,
    markers: [],
    setMarkers: () => undefined,
    frame: 240,
    seconds: (f) => f / 60,
    ...more,
  };
}

test('an instrument from the tray lies inside the picture', () => {
  for (const { id } of instruments) {
    const [placed] = Object.values(freshPlacing(id, picture, 7)) as Record<string, number>[];
    for (const [key, value] of Object.entries(placed)) {
      if (/^x/.test(key)) expect(value, id).toBeGreaterThan(0);
      if (/^x/.test(key)) expect(value, id).toBeLessThan(picture.width);
      if (/^y/.test(key)) expect(value, id).toBeLessThan(picture.height);
    }
  }
  expect(freshPlacing('stopwatch', picture, 7).stopwatch?.zero).toBe(7);
});

test('an end falls into the middle of a part, or a mark of this frame, when it is near', () => {
  const points = snapPoints(
    m,
    picture,
    [
      { frame: 240, x: 20, y: 30 },
      { frame: 3, x: 90, y: 90 },
    ],
    240,
  );
  const body = { x: picture.get('body.x'), y: picture.get('body.y') };
  expect(snapTo(points, { x: body.x + 5, y: body.y - 4 }, 1)).toEqual(body);
  expect(snapTo(points, { x: body.x + 5, y: body.y - 4 }, 4)).toEqual({ x: body.x + 5, y: body.y - 4 });
  expect(snapTo(points, { x: 22, y: 30 }, 1)).toEqual({ x: 20, y: 30 });
  expect(snapTo(points, { x: 91, y: 90 }, 1)).toEqual({ x: 91, y: 90 });
});

test('displays show the stopwatch, the gauge and the beam timer, in their own figures', () => {
  const path = () => {
    const values = new Float64Array(400);
    for (let i = 0; i < 200; i++) values.set([Math.sin((2 * Math.PI * i) / 60 / 0.8), 0.5], 2 * i);
    return { values, n: 200, interval: 1 / 60 };
  };
  const s = state({
    placing: {
      stopwatch: { zero: 90 },
      'pressure-gauge': {},
      'beam-timer': { x1: 0, y1: 0, x2: 0, y2: 1 },
      ruler: { x: 0, y: 0, angle: 0 },
    },
    path,
    channel: (id) => (id === 'pressure' ? 101325 : NaN),
    frame: 180,
  });
  expect(Object.fromEntries(displays(s).map((d) => [d.instrument.id, d.text]))).toEqual({
    stopwatch: '1.50 s',
    'beam-timer': '0.800 s',
    'pressure-gauge': '101.3 kPa',
  });
  expect(displayFor(displays(s), 'Pa')).toMatchObject({ typed: '101325' });
  expect(displayFor(displays(s), 's')?.display.instrument.id).toBe('beam-timer');
  expect(
    displayFor(
      displays(s).filter((d) => d.instrument.id === 'stopwatch'),
      'ms',
    )?.typed,
  ).toBe('1500');
  expect(displayFor(displays(s), 'cm')).toBeUndefined();
});

test('a reading has the uncertainty of what lies there and measures its quantity', () => {
  expect(uncertaintyOf(['stopwatch', 'ruler'], 'cm')).toEqual({ instrument: 'ruler', name: 'Ruler', text: '0.1' });
  expect(uncertaintyOf(['stopwatch'], 'cm')).toBeUndefined();
});

test('where an instrument lies is told in words, and never what it reads', () => {
  const size = { width: 400, height: 200 };
  expect(describe('Ruler', 'ruler', { ruler: { x: 100, y: 50, angle: 89.6 } }, size)).toBe(
    'Ruler: zero 25 % from the left and 25 % from the top, turned 90°',
  );
  expect(describe('Long tape', 'tape', { tape: { x1: 0, y1: 100, x2: 400, y2: 100 } }, size)).toBe(
    'Long tape: one end 0 % from the left and 50 % from the top, the other 100 % from the left and 50 % from the top',
  );
  expect(describe('Magnifier', 'magnifier', { magnifier: { x: 40, y: 20 } }, size)).toBe(
    'Magnifier: 10 % from the left and 10 % from the top',
  );
  expect(describe('Ruler', 'ruler', {}, size)).toBe('Ruler put back on the tray');
  expect(describe('Stopwatch', 'stopwatch', { stopwatch: { zero: 3 } }, size)).toBe('Stopwatch taken from the tray');
});
