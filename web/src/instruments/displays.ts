import { shownBy } from '../core';
import { kindOf } from './kinds';
import type { Laid } from './kind/kind';
import { laidOf } from './placing';
import type { InstrumentState } from './kind/state';

/** What a display shows now, in SI, and as it is read. */
export interface Display extends Laid {
  si: number;
  text: string;
  aside?: string;
}

export function displayOf(laid: Laid, s: InstrumentState): Display | undefined {
  const shown = kindOf(laid.instrument).shows?.(laid, s);
  if (!shown) return undefined;
  const answer = Number.isNaN(shown.si) ? null : shownBy(laid.instrument, shown.si, '');
  const text = answer && 'text' in answer ? `${answer.text} ${answer.unit}` : `– ${laid.instrument.unit}`;
  return { ...laid, ...shown, text };
}

export const displays = (s: InstrumentState): Display[] =>
  laidOf(s.tray, s.placing).flatMap((laid) => displayOf(laid, s) ?? []);

/** The display that suits a column's unit best, and what would be written; undefined where none does. */
export function displayFor(list: Display[], unit: string) {
  for (const d of [...list].reverse()) {
    if (Number.isNaN(d.si)) continue;
    const answer = shownBy(d.instrument, d.si, unit || ' ');
    if ('typed' in answer) return { display: d, typed: answer.typed };
  }
  return undefined;
}
