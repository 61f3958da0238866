import { lazy, Suspense, useState, useSyncExternalStore } from 'react';
import type { Drawing as Made, Drawn } from '../../core';
import { readDrawing, takePieces } from '../../core/drawings';
import { DrawingPicture } from '../../drawing/DrawingPicture';
import { isBlank } from '../../drawing/tools';
import { notesOf } from '../../notebook/notes';
import { Button, Dialog } from '../../ui';
import { AfterCheck } from '../kind/Checked';
import type { Lent, ViewProps } from '../kind/kind';
import { Points } from '../kind/Marked';
import { useCheck } from '../kind/useCheck';

const DrawingEditor = lazy(() => import('../../drawing/DrawingEditor').then((m) => ({ default: m.DrawingEditor })));

export default function Drawing({ block, context }: ViewProps<'drawing'>) {
  const { journal, readOnly } = context;
  const notes = notesOf(journal, block);
  const drawn = notes.read('drawn') ?? {};
  const drawing: Made = { paper: block.paper, drawn };
  const { words } = readDrawing(drawing);
  const [open, setOpen] = useState(false);
  // What is checked is what is kept; its words stand beside a try, to tell whether it was this drawing.
  const checking = useCheck(block, context, words, '', '');
  const empty = isBlank(drawn);
  const write = (next: Drawn) => {
    checking.forget();
    notes.write('drawn', next);
  };
  return (
    <section className="flex flex-col gap-2 border-t pt-4">
      <p className="font-bold">
        {block.prompt} <Points of={block.points} />
      </p>
      <DrawingPicture
        drawing={drawing}
        label={`Your drawing. On it: ${words}.`}
        className="h-auto w-full rounded-house border bg-sheet"
      />
      {!readOnly && (
        <div className="flex flex-wrap items-center gap-2">
          <Button kind={empty ? 'main' : 'plain'} onClick={() => setOpen(true)}>
            {empty ? 'Draw …' : 'Change the drawing …'}
          </Button>
          {block.tries > 0 && !empty && (
            <Button kind="main" disabled={checking.busy} onClick={() => void checking.check()}>
              Check
            </Button>
          )}
        </div>
      )}
      {!readOnly && block.tries === 0 && <p className="text-fine text-soft">Your teacher looks at this drawing.</p>}
      <AfterCheck block={block} context={context} checking={checking} answerable={!readOnly && block.tries > 0} />
      <Dialog open={open} onClose={() => setOpen(false)} title="Your drawing" full>
        <p className="mb-3 max-w-prose">{block.prompt}</p>
        <Suspense fallback={<p className="text-soft">Fetching the paper …</p>}>
          <DrawingEditor drawing={drawing} onDrawn={write}>
            {block.bench && context.lent && (
              <Taking bench={block.bench} lent={context.lent} onTake={(other) => write(takePieces(drawing, other))} />
            )}
          </DrawingEditor>
        </Suspense>
      </Dialog>
    </section>
  );
}

/** Takes the pieces from what stands on the bench, while it is in view. */
function Taking({ bench, lent, onTake }: { bench: string; lent: Lent; onTake: (other: Made) => void }) {
  const there = useSyncExternalStore(lent.subscribe, () => lent.of(bench) !== null);
  return (
    <div className="flex flex-col gap-1 border-t pt-2">
      <Button small disabled={!there} onClick={() => onTake(lent.of(bench)!())}>
        Take from the bench
      </Button>
      <p className="text-fine text-soft">
        {there
          ? 'Lays the pieces that stand on the bench now. Labels and words are yours.'
          : 'The bench it can be taken from isn’t in view.'}
      </p>
    </div>
  );
}
