import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import { initialSettings, manifestOf, type Manifest } from '../../core';
import { openRun } from '../../core/models';
import { pictureOfRun } from '../../picture/picture';
import type { InstrumentState } from '../kind/state';
import { Lay } from './Lay';
import { Ruler, type Straight } from './Ruler';

afterEach(cleanup);

/** Numbers and distances between marks, in the rule's unit, as it lies in the first view. */
function drawn(m: Manifest, division?: number) {
  const instrument = m.instruments.find((i) => i.kind === 'ruler')!;
  const run = openRun(m.id, initialSettings(m), 1);
  const picture = pictureOfRun(m, run.scene(), run.frame(m.views[0].id));
  const { container } = render(
    <svg>
      <Ruler
        {...{
          instrument,
          picture,
          laidAs: 'ruler',
          name: 'Ruler',
          number: 0,
          points: [],
          state: {} as InstrumentState,
          content: '',
        }}
        place={{ x: 0, y: 0, angle: 0, division }}
      />
    </svg>,
  );
  const at = [
    ...container
      .querySelector('path')!
      .getAttribute('d')!
      .matchAll(/M([\d.e-]+) /g),
  ].map((x) => Number(x[1]));
  const unit = picture.scale * instrument.si;
  return {
    numbers: [...container.querySelectorAll('text.mono')].map((t) => t.textContent),
    apart: Math.round(((at[1] - at[0]) / unit) * 100) / 100,
    marks: at.length,
  };
}

test('a rule made for half millimetres shows them, and is numbered in millimetres', async () => {
  const fine = drawn(await manifestOf('liquid-bridge'));
  expect(fine.numbers).toEqual(Array.from({ length: 13 }, (_, i) => String(i)));
  expect(fine.apart).toBe(0.5);
  expect(fine.marks).toBe(25);
});

test('what is chosen coarser is drawn coarser', async () => {
  expect(drawn(await manifestOf('liquid-bridge'), 2).apart).toBe(1);
});

test('a rule in millimetres is numbered in centimetres', async () => {
  const long = drawn(await manifestOf('pendulum'));
  expect(long.numbers[0]).toBe('0');
  expect(Number(long.numbers[1]) % 1).toBe(0);
  expect(long.apart).toBeGreaterThanOrEqual(1);
});

test('one press stands a rule upright about its zero, one turns its scale over, and the same presses undo it', () => {
  let place: Straight = { x: 3, y: 4, angle: 12 };
  const lay = () => <Lay place={place} name="Ruler" onMove={(to) => (place = to)} />;
  const { rerender } = render(lay());
  fireEvent.click(screen.getByLabelText('Stand upright: Ruler'));
  expect(place).toMatchObject({ x: 3, y: 4, angle: -90 });
  rerender(lay());
  fireEvent.click(screen.getByLabelText('Turn over: Ruler'));
  expect(place).toMatchObject({ x: 3, y: 4, angle: -90, over: 1 });
  rerender(lay());
  fireEvent.click(screen.getByLabelText('Turn over: Ruler'));
  rerender(lay());
  fireEvent.click(screen.getByLabelText('Lay level: Ruler'));
  expect(place).toEqual({ x: 3, y: 4, angle: 0, over: 0 });
});
