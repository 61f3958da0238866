import { FileText, X } from 'lucide-react';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import type { Sheet } from '../core';
import type { Journal } from '../notebook/journal';
import { Button } from '../ui';
import type { Drawing } from './drawings';

/** Width of a drawing in picture elements. */
const DRAWN = 640;

/** The whole notebook as a PDF: the page draws the graphs, the server sets the rest. */
export function ReportButton({
  work,
  name,
  sheet,
  journal,
  brief,
}: {
  work: string;
  name: string;
  sheet: Sheet;
  journal: Journal;
  /** Whether there is little room beside it. */
  brief: boolean;
}) {
  const [making, setMaking] = useState<Drawing[] | null>(null);
  const [asked, setAsked] = useState(false);
  const [trouble, setTrouble] = useState('');
  const [place, setPlace] = useState(0);
  const box = useRef<HTMLDivElement>(null);
  const begin = () => {
    setTrouble('');
    setAsked(true);
    // Fetched when a report is asked for: without the network there is none.
    import('./drawings')
      .then(
        (d) => setMaking(d.drawings(sheet, journal)),
        () => setTrouble('The server can’t be reached. The report is made there.'),
      )
      .finally(() => setAsked(false));
  };
  const make = useEffectEvent(async (drawn: Drawing[], leaving: AbortSignal) => {
    const { makeReport } = await import('./drawings');
    await makeReport(box.current!, drawn, { work, name, journal, onPlace: setPlace, leaving });
  });
  useEffect(() => {
    if (!making) return;
    const leaving = new AbortController();
    make(making, leaving.signal)
      .catch((e: unknown) => setTrouble(e instanceof Error ? e.message : String(e)))
      .finally(() => setMaking(null));
    return () => leaving.abort();
  }, [making]);
  return (
    <div className="relative">
      {trouble && (
        <div
          role="alert"
          className={
            'absolute top-full right-0 z-20 mt-1 flex w-72 items-start gap-2 rounded-house ' +
            'border border-copper bg-sheet px-3 py-2 text-fine text-copper'
          }
        >
          <span className="flex-1">{trouble}</span>
          <Button small kind="quiet" aria-label="Close the message" onClick={() => setTrouble('')}>
            <X size={14} aria-hidden />
          </Button>
        </div>
      )}
      <Button kind="quiet" disabled={asked || !!making} title="The whole notebook as a PDF" onClick={begin}>
        <FileText size={15} aria-hidden />
        <span className={`sr-only ${brief ? 'min-[1440px]:not-sr-only' : 'min-[1150px]:not-sr-only'}`}>
          {making ? (place > 0 ? `Waiting, ${place} before you …` : 'Making the report …') : 'Report'}
        </span>
      </Button>
      {making && (
        <div ref={box} aria-hidden className="fixed top-0 -left-[9999px]" style={{ width: DRAWN }}>
          {making.map((d) => (
            <div key={d.block} data-drawing>
              {d.node}
            </div>
          ))}
        </div>
      )}
    </div>
  );
}
