import { TextCursorInput } from 'lucide-react';
import { Button } from '../ui';
import { displayOf } from './displays';
import { kindOf } from './kinds';
import { laidOf } from './placing';
import type { InstrumentState } from './kind/state';

/** What displays show, and what can be done with the instruments that lie there. */
export function InstrumentStrip({
  state: s,
  onGo,
  onTake,
}: {
  state: InstrumentState;
  onGo: (frame: number) => void;
  onTake?: (laidAs: string) => void;
}) {
  const spoken = laidOf(s.tray, s.placing).filter(({ instrument }) => {
    const { shows, Buttons } = kindOf(instrument);
    return shows || Buttons;
  });
  if (spoken.length === 0) return null;
  return (
    <div
      className="flex flex-wrap items-center gap-2 bg-sheet px-3 py-1 text-fine"
      role="group"
      aria-label="Instruments in use"
    >
      {spoken.map((laid) => {
        const { shows, Icon, Buttons } = kindOf(laid.instrument);
        const buttons = Buttons && (!shows || !s.readOnly) && (
          <Buttons {...laid} state={s} onMove={(to) => s.setPlacing({ ...s.placing, [laid.laidAs]: to })} onGo={onGo} />
        );
        if (!shows) return <span key={laid.laidAs}>{buttons}</span>;
        const d = displayOf(laid, s)!;
        return (
          <span
            key={laid.laidAs}
            className="flex items-center gap-2 rounded-house border border-copper px-2 py-0.5"
            data-instrument={laid.laidAs}
          >
            <span className="flex items-center gap-1.5 text-copper">
              <Icon />
              {laid.number}
              <output className="mono text-base font-semibold" aria-label={laid.name}>
                {d.text}
              </output>
            </span>
            {d.aside && <span className="text-soft">{d.aside}</span>}
            {buttons}
            {onTake && !Number.isNaN(d.si) && !s.readOnly && (
              <Button
                small
                kind="quiet"
                aria-label={`Put ${d.text} into the selected cell`}
                title="Into the selected cell"
                onMouseDown={(e) => e.preventDefault()}
                onClick={() => onTake(laid.laidAs)}
              >
                <TextCursorInput size={14} aria-hidden />
              </Button>
            )}
          </span>
        );
      })}
    </div>
  );
}
