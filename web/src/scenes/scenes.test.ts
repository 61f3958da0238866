import { expect, test } from 'vitest';
import { apparatusList } from '../core';
import { drawn, sceneOf } from './index';
import type { PropsOf } from '../picture/picture';

test('every apparatus has a drawing, and every drawing an apparatus', async () => {
  expect([...drawn].sort()).toEqual(apparatusList.map((a) => a.id).sort());
  for (const id of drawn) expect((await sceneOf(id)).Drawing).toBeTypeOf('function');
});

test('a field, a layer or a view that is not declared does not compile', () => {
  const given = { picture: { get: () => 7 }, layers: { has: () => true } } as unknown as PropsOf<'hanging-spring'>;
  expect(given.picture.get('body.y')).toBe(7);
  // @ts-expect-error There is no such field.
  expect(given.picture.get('body.z')).toBe(7);
  // @ts-expect-error There is no such layer.
  expect(given.layers.has('aura')).toBe(true);
  // @ts-expect-error There is no such view.
  expect(given.view === 'top').toBe(false);
});
