import { expect, test, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { Looking } from './looking';

const bench = (time: number) => ({ block: 'cores', recipe: { actions: [] }, time, pace: 4 });
const now = (more: Partial<Schemas['WorkNow']>) => ({ notes: [], followed: false, ...more });

test('what is told again as it was is no news of the bench', () => {
  const looking = new Looking();
  const heard = vi.fn();
  const leave = looking.subscribe(heard);
  expect([looking.followed(), looking.bench(), looking.block()]).toEqual([false, null, null]);
  looking.hear(now({ bench: bench(3) }));
  const first = looking.bench();
  expect(first).toEqual(bench(3));
  looking.hear(now({ bench: bench(3), seq: 8 }));
  expect(looking.bench()).toBe(first);
  looking.hear(now({ bench: bench(4) }));
  expect(looking.bench()?.time).toBe(4);
  expect(looking.block()).toBe('cores');
  expect(heard).toHaveBeenCalledTimes(3);
  leave();
  looking.hear(now({ followed: true }));
  expect(heard).toHaveBeenCalledTimes(3);
  expect([looking.followed(), looking.bench()]).toEqual([true, null]);
});
