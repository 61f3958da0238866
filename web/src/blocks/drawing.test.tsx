import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import type { BlockOf, Drawing, Drawn } from '../core';
import View from './drawing/View';
import { context } from './work.fixture';

afterEach(cleanup);

const ring = (id: string, from: number, to: number) => ({ id, name: id, x: 80, y: 50, from, to });
const block: BlockOf<'drawing'> = {
  type: 'drawing',
  id: 'd',
  prompt: 'Draw the ion.',
  paper: {
    shapes: [{ circle: [80, 50, 30], line: [], closed: false, filled: false, dashed: true }],
    places: [ring('middle', 0, 12), ring('ring', 25, 35)],
    pieces: [{ id: 'e', name: 'electron', sign: '−', tone: 'indigo', size: 2 }],
    labels: ['shell'],
    arrows: ['pull'],
    captions: [{ id: 'q', name: 'Charge' }],
    pen: true,
  },
  bench: 'b',
  points: 4,
  tries: 3,
};

function open(slots: Record<string, object>, more = {}) {
  const { around, write } = context(slots, more);
  render(<View block={block} context={around} />);
  return { write, drawn: () => write.mock.lastCall![2] as Drawn };
}

async function editor() {
  fireEvent.click(screen.getByRole('button', { name: /raw/ }));
  const paper = await screen.findByRole('application');
  // The paper is as large on the screen as in its own units.
  paper.getBoundingClientRect = () => new DOMRect(0, 0, 160, 108);
  paper.setPointerCapture = () => undefined;
  const drag = (from: number[], to = from) => {
    fireEvent.pointerDown(paper, { button: 0, clientX: from[0], clientY: from[1] });
    fireEvent.pointerMove(paper, { clientX: to[0], clientY: to[1] });
    fireEvent.pointerUp(paper);
  };
  return { paper, drag };
}

test('how many lie where can be typed, and the core lays them', async () => {
  const { drawn } = open({});
  await editor();
  fireEvent.change(screen.getByLabelText('electron, ring'), { target: { value: '4' } });
  expect(drawn().pieces).toHaveLength(4);
  expect(drawn().pieces![0]).toEqual({ piece: 'e', x: 80, y: 20 });
  fireEvent.change(screen.getByLabelText('Charge'), { target: { value: '2−' } });
  expect(drawn().captions).toEqual({ q: '2−' });
});

test('a piece is laid, a label points, an arrow is drawn, by the pointer', async () => {
  const { drawn } = open({});
  const { drag } = await editor();
  fireEvent.click(screen.getByRole('radio', { name: 'electron' }));
  drag([110, 50]);
  expect(drawn().pieces).toEqual([{ piece: 'e', x: 110, y: 50 }]);
  fireEvent.click(screen.getByRole('radio', { name: 'shell' }));
  drag([108, 50], [140, 20]);
  expect(drawn().labels).toEqual([{ label: 1, x: 108, y: 50, tx: 140, ty: 20 }]);
  fireEvent.click(screen.getByRole('radio', { name: 'pull' }));
  drag([80, 50], [81, 50]);
  expect(drawn().arrows, 'too short for an arrow').toBeUndefined();
  drag([80, 50], [80, 90]);
  expect(drawn().arrows).toEqual([{ arrow: 1, x: 80, y: 50, dx: 0, dy: 40 }]);
});

test('the same by keys: a cross that is moved, and Enter', async () => {
  const { drawn } = open({});
  const { paper } = await editor();
  fireEvent.click(screen.getByRole('radio', { name: 'pull' }));
  fireEvent.keyDown(paper, { key: 'Enter' });
  for (let i = 0; i < 5; i++) fireEvent.keyDown(paper, { key: 'ArrowRight' });
  fireEvent.keyDown(paper, { key: 'ArrowDown', shiftKey: true });
  fireEvent.keyDown(paper, { key: 'Enter' });
  expect(drawn().arrows).toEqual([{ arrow: 1, x: 80, y: 50, dx: 20, dy: 0.5 }]);
});

test('what lies there is moved and taken away by keys, and that can be taken back', async () => {
  const start = { labels: [{ label: 1, x: 110, y: 50, tx: 130, ty: 20 }] };
  const { drawn } = open({ 'd/drawn': start });
  await editor();
  const words = screen.getByRole('button', { name: 'label “shell”' });
  fireEvent.keyDown(words, { key: 'ArrowLeft' });
  expect(drawn().labels![0]).toEqual({ label: 1, x: 110, y: 50, tx: 126, ty: 20 });
  fireEvent.keyDown(screen.getByRole('button', { name: /^end of the line/ }), { key: 'ArrowUp' });
  expect(drawn().labels![0]).toEqual({ label: 1, x: 110, y: 46, tx: 130, ty: 20 });
  fireEvent.keyDown(words, { key: 'Delete' });
  expect(drawn().labels).toEqual([]);
  fireEvent.click(screen.getByRole('button', { name: 'Take back' }));
  expect(drawn()).toEqual(start);
});

test('pieces are taken from the bench in view; without one it says so', async () => {
  const other: Drawing = {
    paper: { ...block.paper, places: [ring('ring', 25, 35)], labels: ['far'] },
    drawn: { pieces: [{ piece: 'e', x: 110, y: 50 }], labels: [{ label: 1, x: 0, y: 0, tx: 9, ty: 9 }] },
  };
  const lent = { of: (b: string) => (b === 'b' ? () => other : null), subscribe: () => () => undefined };
  const { drawn } = open({}, { lent });
  await editor();
  fireEvent.click(screen.getByRole('button', { name: 'Take from the bench' }));
  expect(drawn()).toMatchObject({ pieces: [{ piece: 'e', x: 80, y: 20 }], labels: [] });
  cleanup();
  open({}, { lent: { ...lent, of: () => null } });
  await editor();
  expect(screen.getByRole('button', { name: 'Take from the bench' })).toHaveProperty('disabled', true);
  expect(screen.getByText(/isn’t in view/)).toBeTruthy();
});

test('it is checked as it is kept; of another drawing nothing is said', async () => {
  const kept = { pieces: [{ piece: 'e', x: 110, y: 50 }] };
  const check = vi.fn(() => Promise.resolve({ verdict: 'value', feedback: '1 of 4.', left: 2 }));
  const tried = { number: 'ring: 1 × electron', unit: '', verdict: 'value', feedback: 'Before.', points: 1, left: 2 };
  open({ 'd/drawn': kept }, { check, tried: { d: { ...tried, all: [] } } });
  expect(screen.getByText('Before.')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Check' }));
  expect(await screen.findByText('1 of 4.')).toBeTruthy();
  expect(check).toHaveBeenCalledWith('d', '', '');
  cleanup();
  open({ 'd/drawn': { pieces: [...kept.pieces, ...kept.pieces] } }, { tried: { d: { ...tried, all: [] } } });
  expect(screen.queryByText('Before.')).toBeNull();
  const picture = screen.getByRole('img', { name: 'Your drawing. On it: ring: 2 × electron.' });
  expect(within(picture).getAllByText('−')).toHaveLength(2);
});
