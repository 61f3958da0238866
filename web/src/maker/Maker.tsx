import { useQuery, useQueryClient } from '@tanstack/react-query';
import { ArrowLeft, History, Undo } from 'lucide-react';
import { useState, type MouseEvent } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { Help } from '../shell/Help';
import { Button, Dialog, Trouble } from '../ui';
import { dayAndTime } from '../ui/dates';
import { PaperDialog } from '../ui/PaperDialog';
import { InPlace } from './InPlace';
import { Outline } from './Outline';
import { spotOf, type Spot } from './tree';
import { useDraft, type Draft } from './useDraft';

/** A lab of one's own, to write. */
export default function Maker() {
  const { labId = '' } = useParams();
  const { data, error } = useQuery({
    queryKey: ['draft', labId],
    queryFn: () => ask(api.GET('/api/drafts/{labId}', { params: { path: { labId } } })),
    staleTime: Infinity,
    gcTime: 0,
  });
  if (error)
    return (
      <div className="flex flex-col gap-4 p-8">
        <Trouble error={error} />
        <Link to="/my-labs" className="text-indigo underline">
          Back to my labs
        </Link>
      </div>
    );
  if (!data) return <p className="p-8 text-soft">Opening the lab …</p>;
  return <Writing key={labId} labId={labId} opened={data} />;
}

function Writing({ labId, opened }: { labId: string; opened: Schemas['DraftView'] }) {
  const draft = useDraft(labId, opened);
  const { sheet, kept } = draft;
  const [chosen, setChosen] = useState<Spot>({});
  const faulty = kept.faults.map((f) => spotOf(sheet, f.place));
  return (
    <div className="relative grid h-screen grid-rows-[3.25rem_minmax(0,1fr)] overflow-hidden">
      <Head labId={labId} draft={draft} />
      <div className="grid min-h-0 grid-cols-[19rem_minmax(0,1fr)]">
        <div className="relative overflow-auto border-r bg-sheet px-3 py-3">
          <Outline
            sheet={sheet}
            chosen={chosen}
            faulty={faulty}
            onChoose={setChosen}
            onChange={(next, spot) => {
              draft.change(next);
              setChosen(spot);
            }}
          />
        </div>
        <main className="relative overflow-auto px-6 py-4">
          <Faults draft={draft} onChoose={setChosen} />
          <InPlace labId={labId} draft={draft} chosen={chosen} onChoose={setChosen} />
        </main>
      </div>
    </div>
  );
}

const SAID: Record<Draft['state'], string> = {
  kept: 'All kept',
  waiting: 'Keeping …',
  keeping: 'Keeping …',
  trouble: 'Not kept',
};

function Head({ labId, draft }: { labId: string; draft: Draft }) {
  const [history, setHistory] = useState(false);
  const { kept, state } = draft;
  const ready = state === 'kept' && !kept.changed;
  const navigate = useNavigate();
  // What was typed last goes first; where it can't, the page stays and says why.
  const leave = (to: string) => (e: MouseEvent) => {
    if (state === 'kept') return;
    e.preventDefault();
    void draft.settle().then((kept) => kept && navigate(to));
  };
  const [refused, setRefused] = useState<unknown>(null);
  const tryIt = async () => {
    if (!(await draft.settle())) return;
    try {
      const { workId } = await ask(api.POST('/api/teaching/tries', { body: { labId, asWritten: true } }));
      void navigate(`/work/${workId}`, { state: { from: `/labs/${labId}/write` } });
    } catch (e) {
      setRefused(e);
    }
  };
  return (
    <header className="flex min-w-0 items-center gap-3 border-b bg-sheet px-4">
      <Link
        to="/my-labs"
        aria-label="Back to my labs"
        className="rounded-house p-1.5 hover:bg-line/50"
        onClick={leave('/my-labs')}
      >
        <ArrowLeft size={18} />
      </Link>
      <h1 className="min-w-0 truncate text-lead font-bold">{String(draft.sheet.title ?? '') || 'Without a title'}</h1>
      <span
        className={`shrink-0 text-fine ${state === 'trouble' ? 'font-semibold text-copper' : 'text-soft'}`}
        role="status"
      >
        {SAID[state]}
      </span>
      <div className="ml-auto flex shrink-0 items-center gap-2">
        <Button small kind="quiet" disabled={!draft.undo} onClick={draft.undo}>
          <Undo size={14} aria-hidden />
          Take back
        </Button>
        <Button small kind="quiet" onClick={() => setHistory(true)}>
          <History size={14} aria-hidden />
          Earlier states
        </Button>
        {kept.faults.length === 0 && (
          <PaperDialog
            at={`/api/drafts/${labId}`}
            name={String(draft.sheet.title ?? '')}
            ready={async () => await draft.settle()}
          />
        )}
        <Help at="write" />
        <Button disabled={kept.faults.length > 0} onClick={() => void tryIt()}>
          Try it
        </Button>
        {kept.version > 0 && (
          <Link
            to={`/labs/${labId}`}
            onClick={leave(`/labs/${labId}`)}
            className="rounded-house border border-edge px-3.5 py-1.5 font-semibold hover:border-ink"
          >
            Read and give
          </Link>
        )}
        <Button kind="main" disabled={ready || kept.faults.length > 0} onClick={() => void draft.publish()}>
          {ready ? `Version ${kept.version} is ready` : 'Make it ready to give'}
        </Button>
      </div>
      <Dialog open={refused !== null} onClose={() => setRefused(null)} title="This can’t be tried yet">
        <Trouble error={refused} />
      </Dialog>
      {history && <Earlier labId={labId} draft={draft} onClose={() => setHistory(false)} />}
    </header>
  );
}

/** All that is wrong, each with the way to it. */
function Faults({ draft, onChoose }: { draft: Draft; onChoose: (spot: Spot) => void }) {
  const { kept, sheet } = draft;
  return (
    <>
      {/* Whoever writes far below must see it, too. */}
      <div aria-live="polite" className="sticky top-0 z-10">
        {draft.error !== null && (
          <div className="mb-3 flex flex-col items-start gap-2 bg-paper py-1">
            <Trouble error={draft.error} />
            {draft.state === 'trouble' && (
              <Button small onClick={() => void draft.settle()}>
                Try to keep it again
              </Button>
            )}
          </div>
        )}
      </div>
      <div aria-live="polite">
        {kept.models.map((words) => (
          <p key={words} className="mb-4 rounded-house border-l-3 border-indigo bg-stage px-3 py-2">
            {words} Try it; when it is as you want it, press <b>Make it ready to give</b>.
          </p>
        ))}
        {kept.faults.length > 0 && (
          <section className="mb-4 rounded-house border-l-3 border-ochre bg-wash px-3 py-2">
            <h2 className="font-semibold">
              {kept.faults.length === 1 ? 'One thing is' : `${kept.faults.length} things are`} wrong yet; it is kept all
              the same.
            </h2>
            <ul>
              {kept.faults.slice(0, 30).map((f, i) => (
                <li key={i}>
                  <button
                    type="button"
                    className="text-left text-indigo underline"
                    onClick={() => onChoose(spotOf(sheet, f.place))}
                  >
                    {f.place || 'The lab'}
                  </button>
                  : {f.what}
                </li>
              ))}
            </ul>
            {kept.faults.length > 30 && <p>And {kept.faults.length - 30} more.</p>}
          </section>
        )}
      </div>
    </>
  );
}

/** When it was kept; each state can be gone back to. */
function Earlier({ labId, draft, onClose }: { labId: string; draft: Draft; onClose: () => void }) {
  const queries = useQueryClient();
  const { data, error } = useQuery({
    queryKey: ['states', labId, draft.kept.number],
    queryFn: () => ask(api.GET('/api/drafts/{labId}/states', { params: { path: { labId } } })),
  });
  return (
    <Dialog open onClose={onClose} title="Earlier states">
      <Trouble error={error} />
      <p className="mb-2 text-soft">Going back keeps what stands now, too.</p>
      <ol className="flex max-h-96 flex-col gap-1 overflow-auto">
        {data?.map((s) => (
          <li key={s.number} className="flex items-center gap-3">
            <span className="mono w-10 text-right text-soft">{s.number}</span>
            <span className="flex-1">{dayAndTime(s.savedAt)}</span>
            {s.number === draft.kept.number ? (
              <span className="text-fine text-soft">now</span>
            ) : (
              <Button
                small
                onClick={() => {
                  onClose();
                  void draft.back(s.number).then(() => queries.invalidateQueries({ queryKey: ['states', labId] }));
                }}
              >
                Go back to it
              </Button>
            )}
          </li>
        ))}
      </ol>
    </Dialog>
  );
}
