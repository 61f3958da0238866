import { describe, expect, it } from 'vitest';
import { howFar } from './dates';

const now = Date.parse('2026-03-02T08:00:00Z');
const after = (minutes: number) => howFar(new Date(now + minutes * 60_000).toISOString(), now);

describe('how far a time is away', () => {
  it.each([
    [45, 'in 45 minutes'],
    [89, 'in 89 minutes'],
    [90, 'in 1 hour'],
    [35 * 60, 'in 35 hours'],
    [36 * 60, 'in 2 days'],
    [47 * 60, 'in 2 days'],
    [20 * 24 * 60, 'in 20 days'],
    [21 * 24 * 60, 'in 3 weeks'],
    [-50, '50 minutes ago'],
    [-3 * 24 * 60, '3 days ago'],
  ])('%i minutes on: %s', (minutes, words) => expect(after(minutes)).toBe(words));
});
