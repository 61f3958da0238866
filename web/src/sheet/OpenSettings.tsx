import type { ReactNode } from 'react';
import { SettingsPanel } from '../bench/SettingsPanel';
import type { BenchState } from '../bench/useBench';
import { trialsMade, type BlockOf, type Manifest } from '../core';
import { inSentence } from '../core/words';
import type { Slots } from '../notebook/journal';

/** How many different trials are still to be run, and what may be changed to make one. */
export function StillWanted({
  block,
  m,
  slots,
}: {
  block: BlockOf<'bench'>;
  m: Manifest;
  slots: Slots[string] | undefined;
}) {
  const made = trialsMade(slots ?? {});
  const missing = block.distinctTrials - made;
  if (missing <= 0 || made === 0) return null;
  const names = m.settings.filter((s) => block.open.includes(s.id)).map((s) => inSentence(s.name));
  return (
    <p className="text-fine text-soft" data-testid="still-wanted">
      {made} of {block.distinctTrials} different trials run. Still wanted: {missing} with another{' '}
      {names.length > 4 ? 'setting' : new Intl.ListFormat('en', { type: 'disjunction' }).format(names)}.
    </p>
  );
}

/** The settings that the lab opens; none while somebody answers. */
export function OpenSettings({
  block,
  bench,
  fixed,
  wanted,
}: {
  block: BlockOf<'bench'>;
  bench: BenchState;
  /** Whether somebody else sets them. */
  fixed: boolean;
  wanted: ReactNode;
}) {
  if (block.open.length === 0 || bench.live.counting.on) return null;
  return (
    <section
      className="flex max-h-[34%] shrink-0 flex-col gap-1 overflow-auto border-t bg-sheet px-3 py-1.5"
      aria-label="Settings"
    >
      <fieldset disabled={fixed} className="contents">
        <SettingsPanel
          m={bench.m}
          values={bench.live.sides[0].settings}
          only={block.open}
          lying
          onChange={(id, v) => bench.change(0, id, v)}
        />
      </fieldset>
      {wanted}
    </section>
  );
}
