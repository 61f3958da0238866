import { printFixed, printShort } from './quantities';
import type { Manifest } from './types';

/** Model time as people see it: seconds to the millisecond, picoseconds to the tenth. */
export function timeText(m: Manifest, seconds: number, decimals = m.timeUnit === 's' ? 3 : 1) {
  return `${printFixed(seconds * m.timePerSi, decimals)} ${m.timeUnit}`;
}

/** How long a run is, in its time or its steps. */
export function lengthText(m: Manifest, until: number) {
  if (m.clock === 'steps') return until === 1 ? '1 step' : `${until} steps`;
  return timeText(m, until, 1);
}

/** How much slower or faster than life it is shown, or null where it is shown as it is. */
export function paceText(m: Manifest) {
  if (m.speed === 1) return null;
  if (m.speed > 1) return `${printShort(m.speed)} times as fast`;
  const digits: Record<string, string> = {
    '-': '⁻',
    0: '⁰',
    1: '¹',
    2: '²',
    3: '³',
    4: '⁴',
    5: '⁵',
    6: '⁶',
    7: '⁷',
    8: '⁸',
    9: '⁹',
  };
  const times = Math.round(1 / m.speed);
  if (times < 10_000) return `slowed ${printShort(times)} times`;
  const tens = String(Math.round(-Math.log10(m.speed)));
  return `slowed 10${[...tens].map((c) => digits[c]).join('')} times`;
}
