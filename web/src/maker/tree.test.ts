import { expect, test } from 'vitest';
import { blockForms } from '../core/labForm';
import {
  at,
  blocksOf,
  copy,
  empty,
  freeId,
  headingOf,
  hide,
  idOf,
  insert,
  move,
  moveTo,
  newBlock,
  newPart,
  partsOf,
  put,
  remove,
  spotOf,
  type Tree,
} from './tree';

const SHEET: Tree = {
  title: 'T',
  parts: [
    {
      id: 'one',
      kind: 'aim',
      title: 'One',
      blocks: [
        { type: 'text', id: 'a' },
        { type: 'text', id: 'b' },
      ],
    },
    { id: 'two', kind: 'measure', title: 'Two', blocks: [{ type: 'number', id: 'q' }] },
  ],
};
const order = (sheet: Tree) =>
  (sheet.parts as { id: string; blocks: { id: string }[] }[]).map((p) => `${p.id}: ${p.blocks.map((b) => b.id)}`);

test('what is changed at a spot leaves all else as it was, and the sheet before it', () => {
  const next = put(SHEET, { part: 0, block: 1 }, { type: 'text', id: 'b', markdown: 'new' });
  expect(at(next, { part: 0, block: 1 }).markdown).toBe('new');
  expect(at(next, { part: 1 })).toBe((SHEET.parts as Tree[])[1]);
  expect(at(SHEET, { part: 0, block: 1 }).markdown).toBeUndefined();
  expect(put(SHEET, {}, { title: 'U' })).toEqual({ title: 'U' });
});

test('blocks move within a part and on into the next; parts move among parts', () => {
  const down = move(SHEET, { part: 0, block: 0 }, 1);
  expect(order(down.sheet)).toEqual(['one: b,a', 'two: q']);
  expect(down.spot).toEqual({ part: 0, block: 1 });
  const on = move(down.sheet, down.spot, 1);
  expect(order(on.sheet)).toEqual(['one: b', 'two: a,q']);
  expect(on.spot).toEqual({ part: 1, block: 0 });
  const back = move(on.sheet, on.spot, -1);
  expect(order(back.sheet)).toEqual(['one: b,a', 'two: q']);
  expect(order(move(SHEET, { part: 1 }, -1).sheet)).toEqual(['two: q', 'one: a,b']);
  expect(move(SHEET, { part: 1 }, 1).sheet).toBe(SHEET);
  expect(move(SHEET, { part: 1, block: 0 }, 1).sheet).toBe(SHEET);
});

test('copies have names of their own, taken away is gone', () => {
  const twice = copy(SHEET, { part: 0, block: 0 });
  expect(order(twice)).toEqual(['one: a,a-2,b', 'two: q']);
  expect(order(copy(twice, { part: 0, block: 1 }))).toEqual(['one: a,a-2,a-3,b', 'two: q']);
  expect(order(copy(SHEET, { part: 0 }))).toEqual(['one: a,b', 'one-2: a-2,b-2', 'two: q']);
  const asked = put(
    SHEET,
    { part: 1, block: 0 },
    { id: 'q', restsOn: 'q', key: { following: { table: 'q', formula: 'a' } } },
  );
  expect(at(copy(asked, { part: 1 }), { part: 2, block: 0 })).toEqual({
    id: 'q-2',
    restsOn: 'q-2',
    key: { following: { table: 'q-2', formula: 'a' } },
  });
  expect(order(remove(SHEET, { part: 0, block: 0 }))).toEqual(['one: b', 'two: q']);
  expect(order(remove(SHEET, { part: 0 }))).toEqual(['two: q']);
  expect(freeId(SHEET, 'two')).toBe('two-2');
});

test('every kind of block begins with all it needs', () => {
  for (const form of blockForms) {
    const block = newBlock(SHEET, form);
    expect(block.type).toBe(form.type);
    expect(Object.keys(block)).toEqual(expect.arrayContaining(form.schema.required!));
  }
  expect(blockForms.map((f) => f.name)).toEqual(
    expect.arrayContaining(['Number question', 'Comparison', 'Drawing question']),
  );
  expect(newPart(SHEET)).toEqual({ id: 'part', kind: 'measure', title: 'New part', blocks: [] });
  expect(empty({ type: 'integer', minimum: 1 })).toBe(1);
});

test('a fault is found at its block, its part, or the lab', () => {
  expect(spotOf(SHEET, 'part two, block q, key, slips 1')).toEqual({ part: 1, block: 0 });
  expect(spotOf(SHEET, 'part one, title')).toEqual({ part: 0 });
  expect(spotOf(SHEET, 'title')).toEqual({});
  expect(spotOf(SHEET, 'block gone: x')).toEqual({});
});

test('what is odd in a sheet doesn’t stop it from being written', () => {
  const odd: Tree = { parts: ['no part', { id: 7, blocks: 'none' }, null] };
  expect(at(odd, { part: 0, block: 3 })).toEqual({});
  const mended = insert(put(odd, { part: 0 }, { id: 'p', blocks: [] }), { part: 0, block: 0 }, { id: 'x' });
  expect(at(mended, { part: 0, block: 0 })).toEqual({ id: 'x' });
  expect(at(mended, { part: 1 }).blocks).toBe('none');
});

test('a block is hidden and shown again, and is known by what it says or by its kind', () => {
  const sheet = {
    parts: [
      {
        id: 'a',
        blocks: [
          { id: 'f', type: 'films' },
          { id: 't', type: 'text', markdown: '# Hi' },
        ],
      },
    ],
  };
  const hidden = hide(sheet, { part: 0, block: 1 });
  expect(at(hidden, { part: 0, block: 1 }).hidden).toBe(true);
  expect(hide(hidden, { part: 0, block: 1 })).toEqual(sheet);
  expect(blocksOf(partsOf(sheet)[0]).map(headingOf)).toEqual(['Recordings', 'Hi']);
});

test('what is dragged goes before what it is let go on, also into another part', () => {
  const sheet = {
    parts: [
      { id: 'a', blocks: [{ id: '1' }, { id: '2' }] },
      { id: 'b', blocks: [{ id: '3' }] },
      { id: 'c', blocks: [] },
    ],
  };
  const ids = (s: Tree) => partsOf(s).map((p) => `${idOf(p)}:${blocksOf(p).map(idOf).join('')}`);
  expect(ids(moveTo(sheet, { part: 0, block: 0 }, { part: 0, block: 1 }).sheet)).toEqual(['a:21', 'b:3', 'c:']);
  expect(ids(moveTo(sheet, { part: 1, block: 0 }, { part: 0, block: 1 }).sheet)).toEqual(['a:132', 'b:', 'c:']);
  expect(ids(moveTo(sheet, { part: 0, block: 1 }, { part: 2 }).sheet)).toEqual(['a:1', 'b:3', 'c:2']);
  expect(ids(moveTo(sheet, { part: 2 }, { part: 0 }).sheet)).toEqual(['c:', 'a:12', 'b:3']);
  expect(moveTo(sheet, { part: 0, block: 1 }, { part: 2 }).spot).toEqual({ part: 2, block: 0 });
});
