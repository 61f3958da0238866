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
