import { expect, test } from 'vitest';
import type { Manifest } from '../core';
import { Film } from './film';

const manifest = {
  scene: [
    { id: 'a.x', kind: 'x' },
    { id: 'b.y', kind: 'y' },
    { id: 'on', kind: 'flag' },
  ],
} as Manifest;

const TWO_FRAMES = { rate: 60, frames: 2, width: 1000, height: 700, scale: 500, fineness: 32 };

test('a line of a film is drawn through the points it has in the frame', () => {
  const header = {
    ...TWO_FRAMES,
    still: { 'outline:0.x': 32, 'outline:0.y': 64 },
    moving: ['outline:1.x', 'outline:1.y'],
    lines: { outline: 2 },
  };
  const film = new Film(header, Int16Array.from([96, 128, -32768, -32768]));
  expect(film.picture(0, manifest).curve('outline')).toBe('M1 2L3 4');
  expect(film.picture(1, manifest).curve('outline')).toBe('M1 2');
  expect(film.picture(0, manifest).curve('other')).toBe('');
});

test('the bodies of a crowd are where a frame has them, in metres of the picture', () => {
  const header = {
    ...TWO_FRAMES,
    still: { 'crowd:0.x': 16000, 'crowd:0.y': 0 },
    moving: ['crowd:1.x', 'crowd:1.y'],
    lines: { crowd: 2 },
    kinds: [0, 1],
  };
  const film = new Film(header, Int16Array.from([-32768, -32768, 8000, 22400]));
  expect(film.picture(0, manifest).crowd).toMatchObject({ count: 1, left: 0, top: 1.4 });
  const { values, count } = film.picture(1, manifest).crowd!;
  expect(count).toBe(2);
  expect([...values]).toEqual([1, 1.4, 0, 0.5, 0, 1]);
});

test('reads header and frames, still and moving, in picture elements', () => {
  const header = JSON.stringify({
    rate: 120,
    frames: 3,
    width: 1000,
    height: 700,
    scale: 500,
    fineness: 32,
    still: { 'b.y': 64 },
    moving: ['a.x', 'on'],
  });
  const head = new TextEncoder().encode(header.length % 2 ? `${header} ` : header);
  const buffer = new ArrayBuffer(4 + head.length + 12);
  new DataView(buffer).setUint32(0, head.length, true);
  new Uint8Array(buffer, 4).set(head);
  [3200, 1, -32, 1, 16, 0].forEach((v, i) => new DataView(buffer).setInt16(4 + head.length + 2 * i, v, true));
  const film = Film.read(buffer);
  expect(film.last).toBe(2);
  expect(film.time(60)).toBe(0.5);
  expect([0, 1, 2].map((f) => film.picture(f, manifest).get('a.x'))).toEqual([100, -1, 0.5]);
  expect([0, 2].map((f) => film.picture(f, manifest).get('on'))).toEqual([1, 0]);
  expect(film.picture(1, manifest).get('b.y')).toBe(2);
});
