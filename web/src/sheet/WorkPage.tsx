import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { lazy, use, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { SheetAtWork, Worktable, type Block, type BlockOf, type Known, type Sheet } from '../core';
import { tableOf } from '../notebook/table';
import type { Journal, Slots } from '../notebook/journal';
import { filmQuery } from '../films/film';
import { apparatusCode } from '../scenes/useApparatus';
import { Button, Trouble } from '../ui';
import { Fetched } from '../ui/Fetched';
import { FetchedDialog } from '../ui/FetchedDialog';
import { BlockView } from '../blocks/BlockView';
import { codeFor } from '../blocks/kinds';
import type { SheetContext } from '../blocks/kind/kind';
import { Looking } from './looking';
import { PartNav } from './PartNav';
import { lentBy, Standing } from './standing';
import { Above } from './State';
import { WorkHeader } from './WorkHeader';
import { useJournal } from './useJournal';
import { loadLabBench } from './DeskPane';
import { Workbench } from './Workbench';

const marking = () => import('../marking');
const MarkForm = lazy(async () => ({ default: (await marking()).MarkForm }));
// What it speaks of comes with an answer of the server, so the network is there.
const JournalNotes = lazy(async () => ({ default: (await import('./JournalNotes')).JournalNotes }));
const Tries = lazy(async () => ({ default: (await marking()).Tries }));

/** A student's lab; for the teacher the same page, to read and to mark. */
export default function WorkPage() {
  const { workId = '' } = useParams();
  const [params] = useSearchParams();
  const handIn = params.get('handIn') ?? undefined;
  const queries = useQueryClient();
  const { data, error } = useQuery({
    queryKey: handIn ? ['work', workId, handIn] : ['work', workId],
    queryFn: async () => {
      const work = await ask(
        api.GET('/api/works/{workId}', { params: { path: { workId }, query: handIn ? { handIn } : {} } }),
      );
      // Waited for here and not in the drawing: what React waits for it draws a third of a second late.
      await Promise.allSettled([...equipment(work), recording(work, queries)]);
      return work;
    },
    staleTime: Infinity,
    gcTime: 0,
  });
  if (error)
    return (
      <div className="p-8">
        <Trouble error={error} />
        <p className="mt-4">
          <Link to="/" className="text-indigo underline">
            Back to the start
          </Link>
        </p>
      </div>
    );
  if (!data) return <p className="p-8 text-soft">Opening the lab …</p>;
  return (
    <Equipped key={`${data.id} ${handIn}`} data={data} handIn={handIn} nameless={!data.own && params.has('nameless')} />
  );
}

/** All that the lab will need, fetched before it is opened: later the network may be gone. */
function equipment(work: Schemas['WorkView']): Promise<unknown>[] {
  const blocks = (work.sheet as unknown as Sheet).parts.flatMap((p) => p.blocks);
  const apparatus = blocks.flatMap((b) => (b.type === 'bench' || b.type === 'films' ? [b.apparatus] : []));
  return [
    ...[...new Set(apparatus)].flatMap(apparatusCode),
    ...(blocks.some((b) => b.type === 'bench') ? [loadLabBench()] : []),
    ...codeFor(blocks),
  ];
}

const SOON = 200;

/** The recording that lies on the bench: it is drawn with all the rest if it comes soon, and later if it doesn't. */
function recording(work: Schemas['WorkView'], queries: QueryClient) {
  const blocks = (work.sheet as unknown as Sheet).parts.flatMap((p) => p.blocks);
  const trial = work.trials.at(-1);
  const block = blocks.find((b) => b.id === trial?.block);
  if (!trial || block?.type !== 'films') return;
  const fetched = queries.prefetchQuery(filmQuery(trial.id, block.views[0]));
  return Promise.race([fetched, new Promise((late) => setTimeout(late, SOON))]);
}

/** Whose work is shown, and how. */
interface Shown {
  data: Schemas['WorkView'];
  /** As it was handed in then. */
  handIn?: string;
  /** For all to see: without the name, points, marks and notes. */
  nameless: boolean;
}

/** Opens the lab once all is here that it needs. */
function Equipped({ data, ...how }: Shown) {
  for (const code of equipment(data)) use(code);
  return <WorkView data={data} {...how} />;
}

function WorkView({ data, handIn, nameless }: Shown) {
  const past = !!handIn;
  const sheet = data.sheet as unknown as Sheet;
  const readOnly = !data.own || !!data.submittedAt || data.closed || past;
  const journal = useJournal(data.id, data.notebook as unknown as Slots, data.seen, data.own && !readOnly);
  const queries = useQueryClient();
  const [standing] = useState(() => new Standing());
  const [looking] = useState(() => new Looking());
  const atWork = useMemo(() => new SheetAtWork(sheet), [sheet]);
  const open = atWork.openParts((block) => journal.read(block, 'seal'));
  const place = `cauldron-place-${data.id}`;
  const [current, setCurrent] = useState(() =>
    Math.min(open - 1, Number(sessionStorage.getItem(place) ?? (data.own ? 0 : sheet.parts.length - 1))),
  );
  const [submitting, setSubmitting] = useState(false);
  useEffect(() => sessionStorage.setItem(place, String(current)), [place, current]);
  const [notesAt, setNotesAt] = useState<HTMLElement | null>(null);

  const tables = useRef<Tables>(new Map());
  const part = sheet.parts[Math.min(current, sheet.parts.length - 1)];
  const refresh = () => queries.invalidateQueries({ queryKey: ['work', data.id] });
  const context: SheetContext = {
    journal,
    readOnly,
    tried: nameless ? {} : data.tried,
    marks: nameless ? {} : data.marks,
    progress: (block) => atWork.counted(block, knownOf(block, atWork, data, journal, tables.current)),
    lacks: (block) => {
      const table = atWork.tableOf(block);
      return table ? atWork.waitsFor(block, worked(table, journal, tables.current)) : '';
    },
    lent: useMemo(() => lentBy(standing), [standing]),
    async check(block, number, unit) {
      await journal.settle();
      const found = await ask(
        api.POST('/api/works/{workId}/checks', {
          params: { path: { workId: data.id } },
          body: { block, number, unit },
        }),
      );
      void refresh();
      return found;
    },
    marking:
      data.own || past || nameless
        ? undefined
        : (block) => (
            <Fetched what="Marking">
              {block.type !== 'explanation' && block.type !== 'table' && data.tried[block.id] && (
                <Tries work={data.id} block={block} tried={data.tried[block.id]} onOpened={refresh} />
              )}
              <MarkForm key={block.id} work={data.id} block={block} mark={data.marks[block.id]} onMarked={refresh} />
            </Fetched>
          ),
  };
  const hasFilms = sheet.parts.findIndex((p) => p.blocks.some((b) => b.type === 'films' || b.type === 'bench'));
  return (
    <div className="grid h-screen grid-cols-[minmax(0,1fr)] grid-rows-[3.25rem_minmax(0,1fr)]">
      <WorkHeader
        {...{ data, sheet, journal, readOnly, past, nameless, part, notesAt, looking }}
        onDone={refresh}
        onHandIn={() => setSubmitting(true)}
      >
        <PartNav parts={sheet.parts} open={open} current={current} onGo={setCurrent} />
      </WorkHeader>
      <div className="grid min-h-0 grid-cols-[clamp(16rem,25vw,23rem)_minmax(0,1fr)]">
        <main className="flex flex-col gap-4 overflow-auto border-r bg-sheet px-5 py-4">
          <h2 className="text-lead font-bold">{part.title}</h2>
          {!nameless && <Above data={data} past={past} notesAt={setNotesAt} />}
          {journal.refused.length + journal.overlaps.length + data.unreadable.length > 0 && (
            <Fetched what="What was not kept as it was typed">
              <JournalNotes journal={journal} sheet={sheet} unreadable={data.unreadable} />
            </Fetched>
          )}
          {part.blocks.map((b) => (
            <BlockView key={b.id} block={b} context={context} />
          ))}
          {current + 1 < sheet.parts.length && (
            <div className="mt-auto border-t pt-3 text-right">
              {current + 1 < open ? (
                <Button
                  kind={part.kind === 'aim' || part.kind === 'predict' ? 'main' : 'plain'}
                  onClick={() => setCurrent(current + 1)}
                >
                  Go on: {sheet.parts[current + 1].title}
                </Button>
              ) : (
                <span className="text-soft">Seal your prediction to go on.</span>
              )}
            </div>
          )}
        </main>
        <section className="min-h-0 min-w-0" aria-label="Bench and notebook">
          <Workbench
            standing={standing}
            looking={looking}
            work={data.id}
            judged={data.own || nameless ? undefined : { handIn, underWay: !past && !data.submittedAt }}
            sheet={sheet}
            part={Math.min(current, sheet.parts.length - 1)}
            journal={journal}
            trials={data.trials}
            readOnly={readOnly}
            open={open > hasFilms}
          />
        </section>
      </div>
      {submitting && (
        <FetchedDialog
          title="Hand in this lab"
          load={handingIn}
          props={{
            work: data.id,
            journal,
            onClose: () => setSubmitting(false),
            onDone: () => {
              setSubmitting(false);
              void refresh();
            },
          }}
        />
      )}
    </div>
  );
}

const handingIn = () => import('./SubmitDialog').then((m) => m.SubmitDialog);

type Tables = Map<string, Worktable>;

/** A table worked out by differences. */
function worked(block: BlockOf<'table'>, journal: Journal, tables: Tables) {
  if (!tables.has(block.id)) tables.set(block.id, new Worktable());
  return tables.get(block.id)!.update(tableOf(journal.all(), block));
}

/** What the core needs to count a block's work. */
function knownOf(
  block: Block,
  atWork: SheetAtWork,
  data: Schemas['WorkView'],
  journal: Journal,
  tables: Tables,
): Known {
  if (block.type === 'table') return { table: worked(block, journal, tables) };
  const tableShown = block.type === 'graph' && atWork.tableOf(block);
  return {
    table: tableShown ? worked(tableShown, journal, tables) : undefined,
    slots: journal.all()[block.id],
    chosen: data.trials.filter((t) => t.block === block.id).map((t) => t.chosen),
  };
}
