import type { Channel } from '../core';

/** How parts of the energy account look, wherever they are drawn. */
export const ACCOUNT_LOOK: Record<string, { color: string; hatch: string }> = {
  kinetic: { color: 'var(--copper)', hatch: 'M0 6L6 0' },
  potential: { color: 'var(--indigo)', hatch: 'M0 3H6' },
  elastic: { color: 'var(--verdigris)', hatch: 'M0 0L6 6' },
  thermal: { color: 'var(--plum)', hatch: 'M3 0V6' },
  total: { color: 'var(--ink)', hatch: '' },
};

export const LINE_LOOK = [
  { color: 'var(--copper)', dash: '' },
  { color: 'var(--indigo)', dash: '7 3' },
  { color: 'var(--verdigris)', dash: '2 3' },
  { color: 'var(--plum)', dash: '9 3 2 3' },
  { color: 'var(--ink)', dash: '12 4' },
];

export function lookOf(c: Channel, i: number) {
  const account = c.account ? ACCOUNT_LOOK[c.account].color : null;
  return { color: account ?? LINE_LOOK[i % LINE_LOOK.length].color, dash: LINE_LOOK[i % LINE_LOOK.length].dash };
}
