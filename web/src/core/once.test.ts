import { expect, test } from 'vitest';
import { once } from './once';

test('what was fetched is fetched once, each by its name', async () => {
  const asked: string[] = [];
  const get = once((name) => {
    asked.push(name);
    return Promise.resolve(name.length);
  });
  expect(await Promise.all([get('a'), get('bc'), get('a')])).toEqual([1, 2, 1]);
  expect(asked).toEqual(['a', 'bc']);
  expect(get('bc')).toBe(get('bc'));
});

test('what has come can be told without waiting; what failed stays failed', async () => {
  const get = once((name) => (name === 'no' ? Promise.reject(new Error('gone')) : Promise.resolve(name)));
  await get('yes');
  expect(get('yes')).toMatchObject({ status: 'fulfilled', value: 'yes' });
  await expect(get('no')).rejects.toThrow('gone');
  expect(get('no')).not.toHaveProperty('status', 'fulfilled');
  await expect(get('no')).rejects.toThrow('gone');
});
