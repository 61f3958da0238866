import { useQuery, useQueryClient } from '@tanstack/react-query';
import { ArrowLeft, History, Undo } from 'lucide-react';
import { Suspense, useMemo, useState, type MouseEvent } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { BlockView } from '../blocks/BlockView';
import { previewContext } from '../blocks/preview';
import type { Block, Sheet } from '../core';
import { blockForms } from '../core/labForm';
import { Journal } from '../notebook/journal';
import { Help } from '../shell/Help';
import { Button, Dialog, Trouble } from '../ui';
import { dayAndTime } from '../ui/dates';
import { PaperDialog } from '../ui/PaperDialog';
import { MadeUp } from './MadeUp';
import { Outline } from './Outline';
import { BlockForm } from './BlockForm';
import { at, idOf, labFields, partFields, put, spotOf, type Spot, type Tree } from './tree';
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
  const one = at(sheet, chosen);
  const form = chosen.block !== undefined ? blockForms.find((f) => f.type === one.type) : undefined;
  const schema = chosen.block !== undefined ? form?.schema : chosen.part !== undefined ? partFields : labFields;
  return (
    <div className="grid h-screen grid-rows-[3.25rem_minmax(0,1fr)]">
      <Head labId={labId} draft={draft} />
      <div className="grid min-h-0 grid-cols-[20rem_minmax(0,1fr)_minmax(16rem,23rem)]">
        <div className="overflow-auto border-r bg-sheet px-3 py-3">
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
        <main className="overflow-auto px-6 py-4">
          <Faults draft={draft} onChoose={setChosen} />
          <h2 className="text-lead font-bold">
            {chosen.part === undefined
              ? 'The lab itself'
              : chosen.block === undefined
                ? 'Part'
                : (form?.name ?? 'Block')}
          </h2>
          {form && <p className="mb-3 max-w-prose text-soft">{form.about}</p>}
          {schema ? (
            <div className="max-w-2xl pt-2" key={`${chosen.part}/${chosen.block}`}>
              <Suspense fallback={<p className="text-soft">Fetching what it may speak of …</p>}>
                <BlockForm
                  schema={schema}
                  sheet={sheet}
                  one={one}
                  onChange={(next) => draft.change(put(sheet, chosen, next))}
                />
              </Suspense>
              {(one.type === 'films' || one.type === 'number') && (
                <MadeUp
                  key={idOf(one)}
                  labId={labId}
                  block={idOf(one)}
                  what={one.type}
                  shown={draft.kept.shown}
                  settle={draft.settle}
                />
              )}
            </div>
          ) : (
            <p className="text-soft">
              Cauldron doesn’t know this kind of block. Take it away, or take the change back.
            </p>
          )}
        </main>
        <Preview labId={labId} draft={draft} chosen={chosen} one={one} />
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

/** What is chosen as a student meets it: as it was when nothing was wrong last. */
function Preview({ labId, draft, chosen, one }: { labId: string; draft: Draft; chosen: Spot; one: Tree }) {
  const journal = useMemo(() => new Journal(`writing-${labId}`, {}), [labId]);
  const [last, setLast] = useState(draft.kept.shown);
  if (draft.kept.shown && draft.kept.shown !== last) setLast(draft.kept.shown);
  const shown = last as unknown as Sheet | undefined;
  const parts = shown?.parts ?? [];
  const block = parts.flatMap((p) => p.blocks).find((b) => b.id === idOf(one));
  const blocks: Block[] =
    chosen.block !== undefined ? (block ? [block] : []) : (parts.find((p) => p.id === idOf(one))?.blocks ?? []);
  return (
    <aside aria-label="As a student sees it" className="flex flex-col gap-4 overflow-auto border-l bg-sheet px-5 py-4">
      <p className="text-fine text-soft">
        As a student sees it{!draft.kept.shown && ', as it was before something was wrong'}
      </p>
      {chosen.part === undefined && shown && (
        <div>
          <p className="text-lead font-bold">{shown.title}</p>
          <p>{shown.summary}</p>
          <p className="text-fine text-soft">
            about {shown.minutes} minutes · {parts.length} parts
          </p>
        </div>
      )}
      {chosen.part !== undefined && blocks.length === 0 && (
        <p className="text-soft">Nothing to see yet: it is shown once nothing is wrong.</p>
      )}
      {blocks.map((b) => (
        <BlockView key={b.id} block={b} context={previewContext(journal)} />
      ))}
    </aside>
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
