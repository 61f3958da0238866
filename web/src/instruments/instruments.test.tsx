import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, expect, test } from 'vitest';
import { initialSettings, manifestOf, uncertaintyOf, type Instrument } from '../core';
import { openRun } from '../core/models';
import { pictureOfRun } from '../picture/picture';
import { displayFor, displays } from './displays';
import { InstrumentStrip } from './InstrumentStrip';
import { kindOf, kinds, listed } from './kinds';
import { intoView, laidOf, lying, taken } from './placing';
import { snapPoints, snapTo } from './kind/snap';
import type { InstrumentState, Placing } from './kind/state';
import { Tray } from './Tray';
import { placeInWords } from './words';

const m = await manifestOf('hanging-spring');
const gas = await manifestOf('gas-cylinder');
const glider = await manifestOf('propeller-glider');
const pendulum = await manifestOf('pendulum');
const run = openRun(m.id, { ...initialSettings(m), damping: 0 }, 1);
run.seek(4);
const picture = pictureOfRun(m, run.scene(), run.frame('front'));
const every = [m, gas, glider, pendulum].flatMap((x) => x.instruments);
const one = (id: string): Instrument => every.find((i) => i.id === id)!;

const lies = (placing: Record<string, object>): Placing => placing;

afterEach(cleanup);

function state(more: Partial<InstrumentState>): InstrumentState {
  return {
    tray: m.instruments,
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

test('every kind that the core declares is drawn here, and a second one of an id is refused', () => {
  expect(every.map((i) => kindOf(i).id)).toEqual(every.map((i) => i.kind));
  expect([...new Set(every.map((i) => i.kind))].sort()).toEqual(kinds().sort());
  const ruler = kindOf(one('ruler'));
  expect(() => listed([ruler, ruler])).toThrow('two kinds of instrument “ruler”');
});

test('an instrument from the tray lies inside the picture, and several of one kind beside each other', () => {
  for (const instrument of every) {
    let placing: Placing = {};
    for (let n = 0; n < 3; n++) placing = taken(instrument, placing, picture, 7);
    const places = Object.values(placing) as Record<string, number>[];
    expect(new Set(places.map((p) => JSON.stringify(p))).size).toBe(instrument.several ? 3 : 1);
    for (const [key, value] of places.flatMap((p) => Object.entries(p))) {
      if (/^x/.test(key)) expect(value, instrument.id).toBeGreaterThan(0);
      if (/^x/.test(key)) expect(value, instrument.id).toBeLessThan(picture.width);
      if (/^y/.test(key)) expect(value, instrument.id).toBeLessThan(picture.height);
    }
  }
  expect(taken(one('stopwatch'), {}, picture, 7).stopwatch).toMatchObject({ zero: 7 });
});

test('what lies there has a name and a number each, and is found in readings from before there were several', () => {
  const old = { ruler: { x: 1, y: 2, angle: 0, division: 5 }, stopwatch: { zero: 3 }, protractor: { x: 0 } };
  expect(laidOf(m.instruments, old).map((l) => l.name)).toEqual(['Ruler', 'Stopwatch']);
  const two = taken(one('ruler'), old, picture, 0);
  expect(laidOf(m.instruments, two).map((l) => l.name)).toEqual(['Ruler', 'Ruler 2', 'Stopwatch']);
  expect(laidOf(m.instruments, { ...two, ruler: undefined }).map((l) => l.name)).toEqual(['Ruler 2', 'Stopwatch']);
  expect(lying(m.instruments, two).map((l) => l.graduation)).toEqual([5, 1, 1]);
});

test('what lies in a view stays there, and what shows time goes along', () => {
  const ruler = { x: 1, y: 2, angle: 0, division: 5 };
  const near = { view: 'near', frame: 4, placing: { ruler, stopwatch: { zero: 3 } } };
  const far = intoView(m.instruments, near, 'far');
  expect(far).toMatchObject({ view: 'far', frame: 4 });
  expect(far.placing).toEqual({ stopwatch: { zero: 3 } });
  const later = { ...far, placing: { ruler: { ...ruler, x: 9 }, stopwatch: { zero: 8 } } };
  const back = intoView(m.instruments, later, 'near');
  expect(back.placing).toEqual({ ruler, stopwatch: { zero: 8 } });
  expect(intoView(m.instruments, back, 'far').placing).toEqual({ ruler: { ...ruler, x: 9 }, stopwatch: { zero: 8 } });
});

test('a tray gives one more of what may lie there several times, and takes each back', () => {
  function Bench() {
    const [placing, setPlacing] = useState<Placing>({});
    return (
      <>
        <Tray state={state({ placing, setPlacing })} />
        <InstrumentStrip state={state({ placing, setPlacing })} onGo={() => undefined} />
      </>
    );
  }
  render(<Bench />);
  fireEvent.click(screen.getByRole('button', { name: 'Ruler' }));
  fireEvent.click(screen.getByRole('button', { name: 'Another ruler' }));
  expect(screen.getByRole('combobox', { name: 'Ruler 2 graduated in' })).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Ruler', pressed: true }));
  expect(screen.queryByRole('button', { name: 'Ruler' })).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Ruler 2' }));
  expect(screen.getByRole('button', { name: 'Ruler', pressed: false })).toBeTruthy();
  for (const another of ['Ruler', 'Another ruler', 'Another ruler'])
    fireEvent.click(screen.getByRole('button', { name: another }));
  expect(screen.getByRole('button', { name: 'Ruler 3' })).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Another ruler' }), 'no more than fit').toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Stopwatch' }));
  expect(screen.queryByRole('button', { name: 'Another stopwatch' })).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'One cycle more' }));
  expect(screen.getByLabelText('Cycles counted').textContent).toBe('1');
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
    tray: [one('ruler'), one('stopwatch'), one('beam-timer'), one('pressure-gauge')],
    placing: lies({
      stopwatch: { zero: 90 },
      'pressure-gauge': {},
      'beam-timer': { x1: 0, y1: 0, x2: 0, y2: 1 },
      ruler: { x: 0, y: 0, angle: 0 },
    }),
    path,
    channel: (id) => (id === 'pressure' ? { name: 'Pressure', si: 101325 } : undefined),
    frame: 180,
  });
  expect(Object.fromEntries(displays(s).map((d) => [d.instrument.id, d.text]))).toEqual({
    stopwatch: '1.50 s',
    'beam-timer': '0.800 s',
    'pressure-gauge': '101.3 kPa',
  });
  expect(displayFor(displays(s), 'Pa')).toMatchObject({ typed: '101325' });
  const stopwatch = displays(s).filter((d) => d.instrument.id === 'stopwatch');
  expect(displayFor(displays(s), 's')?.display.instrument.id).toBe('beam-timer');
  expect(displayFor(stopwatch, 'ms')?.typed).toBe('1500');
  expect(displayFor(displays(s), 'cm')).toBeUndefined();
});

test('a scale is that of the apparatus: nanometres and picoseconds among molecules', () => {
  const small = gas.instruments.find((i) => i.kind === 'ruler')!;
  expect(small).toMatchObject({ unit: 'nm', si: 1e-9 });
  const watch = gas.instruments.find((i) => i.kind === 'stopwatch')!;
  const s = state({
    tray: gas.instruments,
    placing: lies({ stopwatch: { zero: 0 } }),
    frame: 12,
    seconds: (f) => f * 1e-12,
  });
  expect(displays(s)[0].text).toBe('12 ps');
  expect(uncertaintyOf([{ instrument: watch, graduation: 1 }], 'ps')?.text).toBe('1');
});

test('a reading has the uncertainty of what lies there and measures its quantity', () => {
  const both = lying(m.instruments, { stopwatch: {}, ruler: {} });
  expect(uncertaintyOf(both, 'cm')).toEqual({ instrument: 'ruler', name: 'Ruler', text: '0.01' });
  expect(uncertaintyOf(lying(m.instruments, { stopwatch: {} }), 'cm')).toBeUndefined();
});

test('where an instrument lies is told in words, and never what it reads', () => {
  const size = { width: 400, height: 200 };
  const said = (id: string, place?: object) =>
    placeInWords({ laidAs: id, instrument: one(id), name: one(id).name, place }, size);
  expect(said('ruler', { x: 100, y: 50, angle: 89.6 })).toBe(
    'Ruler: zero 25 % from the left and 25 % from the top, turned 90°',
  );
  expect(said('tape', { x1: 0, y1: 100, x2: 400, y2: 100 })).toBe(
    'Long tape: one end 0 % from the left and 50 % from the top, the other 100 % from the left and 50 % from the top',
  );
  expect(said('magnifier', { x: 40, y: 20 })).toBe('Magnifier: 10 % from the left and 10 % from the top');
  expect(said('ruler')).toBe('Ruler put back on the tray');
  expect(said('stopwatch', { zero: 3 })).toBe('Stopwatch taken from the tray');
});
