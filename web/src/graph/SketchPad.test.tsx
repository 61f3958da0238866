import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import { useState } from 'react';
import type { Sketch } from '../core';
import type { GraphColumn } from './model';
import { placed } from './SketchBehind';
import { SketchPad } from './SketchPad';

afterEach(cleanup);

const axes: Sketch = {
  table: 't',
  x: { name: 'mass', symbol: 'm', unit: 'g', from: 0, to: 200 },
  y: { name: 'period', symbol: 'T', unit: 's' },
};

test('keys alone draw a line from point to point, and take it back', () => {
  const seen: { strokes: number[][] } = { strokes: [] };
  function Pad() {
    const [strokes, setStrokes] = useState<number[][]>([]);
    seen.strokes = strokes;
    return <SketchPad axes={axes} strokes={strokes} fixed={false} onStrokes={setStrokes} />;
  }
  render(<Pad />);
  const pad = screen.getByRole('application');
  const press = (...keys: string[]) => keys.forEach((key) => fireEvent.keyDown(pad, { key }));
  press('Enter', 'ArrowRight', 'ArrowRight', 'ArrowUp', 'Enter', 'ArrowRight', 'Enter');
  expect(seen.strokes).toHaveLength(1);
  const [x0, y0, x1, y1, x2, y2] = seen.strokes[0];
  expect([x0, y0]).toEqual([0, 0]);
  expect(x1).toBeGreaterThan(0);
  expect(y1).toBeGreaterThan(0);
  expect(x2).toBeGreaterThan(x1);
  expect(y2).toBe(y1);
  expect(screen.getByRole('status').textContent).toBe('drawn to here');
  press('ArrowLeft');
  expect(screen.getByRole('status').textContent).toMatch(/^pen at mass 15\.\d g, 6 % of period$/);
  press('Backspace');
  expect(seen.strokes).toHaveLength(0);
});

test('a sealed sketch takes no more strokes', () => {
  render(
    <SketchPad
      axes={axes}
      strokes={[[0, 0, 1, 1]]}
      fixed
      onStrokes={() => {
        throw new Error('changed');
      }}
    />,
  );
  fireEvent.keyDown(screen.getByRole('img'), { key: 'Enter' });
  expect(screen.queryByRole('button')).toBeNull();
});

test('a sketch lies where its axes say, in the units of the graph; without numbers over all that is measured', () => {
  const column = (symbol: string, unit: string) =>
    ({ id: symbol, symbol, name: symbol, unit, kind: 'measured', result: { unit } }) as unknown as GraphColumn;
  const full = { x: [0, 0.5] as [number, number], y: [0, 4] as [number, number] };
  const expected = { axes, strokes: [[0, 0, 0.5, 1]] };
  expect(placed(expected, column('m', 'kg'), column('T', 's'), full)).toEqual([
    [
      [0, 0],
      [0.1, 4],
    ],
  ]);
  const turned = { x: full.y, y: full.x };
  expect(placed(expected, column('T', 's'), column('m', 'kg'), turned)).toEqual([
    [
      [0, 0],
      [4, 0.1],
    ],
  ]);
  expect(placed(expected, column('L', 'm'), column('T', 's'), full)).toEqual([]);
  // A column of that symbol which is no mass can't show it.
  expect(placed(expected, column('m', 's'), column('T', 's'), full)).toEqual([]);
});
