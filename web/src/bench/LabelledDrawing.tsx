import { Shapes } from 'lucide-react';
import { useRef, useState } from 'react';
import type { Drawing, Run } from '../core';
import { readDrawing } from '../core/drawings';
import { DrawingPicture } from '../drawing/DrawingPicture';
import { Button, Dialog, Trouble } from '../ui';
import { savePng, saveSvg } from '../ui/svgFile';

/** What stands on the bench as a labelled drawing, to be looked at and saved. */
export function LabelledDrawing({ run, name }: { run: Run; name: string }) {
  const [drawing, setDrawing] = useState<Drawing | null>(null);
  const [error, setError] = useState<unknown>(null);
  const svg = useRef<SVGSVGElement>(null);
  const file = `${name}, labelled drawing`;
  return (
    <>
      <Button small kind="quiet" onClick={() => setDrawing(run.drawing() as Drawing)}>
        <Shapes size={13} aria-hidden />
        Labelled drawing
      </Button>
      <Dialog open={drawing !== null} onClose={() => setDrawing(null)} title="Labelled drawing" wide>
        {drawing && (
          <div className="flex flex-col gap-3">
            <DrawingPicture
              ref={svg}
              drawing={drawing}
              label={`Labelled drawing: ${readDrawing(drawing).words}`}
              className="h-auto max-h-[62vh] w-full rounded-house border bg-sheet"
            />
            <p className="text-fine text-soft">Not to scale.</p>
            <div className="flex gap-2">
              <Button kind="main" onClick={() => saveSvg(svg.current!, file, '')}>
                Save as SVG
              </Button>
              <Button onClick={() => void savePng(svg.current!, file, '').catch(setError)}>Save as PNG</Button>
            </div>
            <Trouble error={error} />
          </div>
        )}
      </Dialog>
    </>
  );
}
