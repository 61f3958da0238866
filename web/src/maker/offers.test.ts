import { expect, test } from 'vitest';
import { manifestOf } from '../core';
import { apparatusOn, offersOf } from './offers';
import type { Tree } from './tree';

const films: Tree = {
  type: 'films',
  id: 'f',
  apparatus: 'pendulum',
  choices: [{ id: 'cord', name: 'Cord', options: [{ id: 'tern', name: 'Tern' }] }],
};
const bench: Tree = { type: 'bench', id: 'b', title: 'Tanks', apparatus: 'twin-tanks' };
const table: Tree = { type: 'table', id: 't', title: 'Swings', columns: [{ id: 'L', name: 'length' }, { id: 'T' }] };
const odd: Tree = { type: 'bench', id: 'x', apparatus: 'perpetuum' };
const question: Tree = { type: 'number', id: 'q', prompt: 'How strong?', points: 3 };
const sheet: Tree = { parts: [{ id: 'p', blocks: [films, bench, table, odd, question] }] };

async function offers(one: Tree) {
  const [pendulum, tanks] = await Promise.all([manifestOf('pendulum'), manifestOf('twin-tanks')]);
  return offersOf(sheet, one, { pendulum, 'twin-tanks': tanks });
}

test('only apparatus that there are is asked for', () => {
  expect(apparatusOn(sheet)).toEqual(['pendulum', 'twin-tanks']);
});

test('a key is offered blocks, choices and settings of recordings, and outcomes of benches', async () => {
  const { one } = await offers(question);
  expect(one.films).toEqual([{ id: 'f', name: 'Recordings' }]);
  expect(one.bench).toEqual([
    { id: 'b', name: 'Tanks' },
    { id: 'x', name: 'Open bench' },
  ]);
  expect(one.choice).toEqual([{ id: 'cord', name: 'Cord' }]);
  expect(one.option).toEqual([{ id: 'tern', name: 'Tern' }]);
  expect(one.setting.map((s) => s.id)).toContain('length');
  expect(one.setting.map((s) => s.id)).not.toContain('drag');
  expect(one.outcome.length).toBeGreaterThan(0);
});

test('a graph is offered the columns of its own table', async () => {
  expect((await offers({ type: 'graph', id: 'g', table: 't' })).one.along).toEqual([
    { id: 'L', name: 'length' },
    { id: 'T', name: 'T' },
  ]);
  expect((await offers({ type: 'graph', id: 'g', table: 'gone' })).one.along).toEqual([]);
});

test('a bench is offered what its apparatus has, and a drawing what lies on its paper', async () => {
  expect((await offers(bench)).several.readouts.length).toBeGreaterThan(2);
  expect((await offers(bench)).ranged).toBe(false);
  expect((await offers(films)).ranged).toBe(true);
  expect((await offers(odd)).settings).toEqual([]);
  const drawing = { type: 'drawing', id: 'd', paper: { pieces: [{ id: 'n', name: 'neutron' }], arrows: ['weight'] } };
  const { one } = await offers(drawing);
  expect(one.piece).toEqual([{ id: 'n', name: 'neutron' }]);
  expect(one.longer).toEqual([{ id: 'weight', name: 'weight' }]);
});

test('the spot check is offered what brings points', async () => {
  expect((await offers(sheet)).several.spotCheck).toEqual([{ id: 'q', name: 'How strong?' }]);
});

test('a table is offered what its columns may be held against', async () => {
  const { one } = await offers(table);
  expect(one.column).toEqual([
    { id: 'L', name: 'length' },
    { id: 'T', name: 'T' },
  ]);
  expect(one.of).toEqual(
    expect.arrayContaining([
      { id: 'cord', name: 'choice: Cord' },
      { id: 'speed', name: 'channel: Speed' },
      { id: 'lowest', name: 'event: lowest point' },
      { id: 'pivot', name: 'place: pivot' },
    ]),
  );
  expect(one.to).toContainEqual({ id: 'bob', name: 'place: bob' });
  expect(one.since).toContainEqual({ id: 'open-catch', name: 'act: Open the catch' });
  expect((await offers(question)).one.to).toBeUndefined();
});
