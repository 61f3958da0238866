import { useQuery, useQueryClient } from '@tanstack/react-query';
import { ArrowLeft } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { dayAndTime } from '../app/dates';
import { tableOf } from '../notebook/table';
import type { Slots } from '../notebook/journal';
import { Button, Trouble } from '../ui';
import { MarkForm } from '../marking/MarkForm';
import { BlockView, type SheetContext } from './Blocks';
import { KeptSign } from './KeptSign';
import { PartNav } from './PartNav';
import { ReportButton } from './ReportButton';
import { SubmitDialog } from './SubmitDialog';
import { openParts, type Block, type Sheet } from './types';
import { useJournal } from './useJournal';
import { Workbench } from './Workbench';

/** A student's lab; for the teacher the same page, to read and to mark. */
export default function WorkPage() {
  const { workId = '' } = useParams();
  const { data, error } = useQuery({
    queryKey: ['work', workId],
    queryFn: () => ask(api.GET('/api/works/{workId}', { params: { path: { workId } } })),
    staleTime: Infinity,
    gcTime: 0,
  });
  if (error) return <div className="p-8"><Trouble error={error} /><p className="mt-4"><Link to="/" className="text-indigo underline">Back to the start</Link></p></div>;
  if (!data) return <p className="p-8 text-soft">Opening the lab …</p>;
  return <WorkView key={data.id} data={data} />;
}

function WorkView({ data }: { data: Schemas['WorkView'] }) {
  const sheet = data.sheet as unknown as Sheet;
  const readOnly = !data.own || !!data.submittedAt;
  const journal = useJournal(data.id, data.notebook as unknown as Slots, data.own);
  const queries = useQueryClient();
  const sealed = (block: string) => journal.read<{ sealed?: boolean }>(block, 'seal')?.sealed === true;
  const open = openParts(sheet, sealed);
  const place = `cauldron-place-${data.id}`;
  const [current, setCurrent] = useState(() => Math.min(open - 1, Number(sessionStorage.getItem(place) ?? (data.own ? 0 : sheet.parts.length - 1))));
  const [submitting, setSubmitting] = useState(false);
  useEffect(() => sessionStorage.setItem(place, String(current)), [place, current]);

  const part = sheet.parts[Math.min(current, sheet.parts.length - 1)];
  const refresh = () => queries.invalidateQueries({ queryKey: ['work', data.id] });
  const context: SheetContext = {
    journal, readOnly, tried: data.tried, marks: data.marks,
    progress: (block) => progressOf(block, data, journal),
    async check(block, number, unit) {
      await journal.settle();
      return ask(api.POST('/api/works/{workId}/checks', { params: { path: { workId: data.id } }, body: { block, number, unit } }));
    },
    marking: data.own ? undefined : (block) => <MarkForm key={block.id} work={data.id} block={block} mark={data.marks[block.id]} onMarked={refresh} />,
  };
  const hasFilms = sheet.parts.findIndex((p) => p.blocks.some((b) => b.type === 'films' || b.type === 'bench'));
  return (
    <div className="grid h-screen grid-rows-[3.25rem_minmax(0,1fr)]">
      <header className="flex items-center gap-4 border-b bg-sheet px-4">
        <Link to={data.own ? '/' : `/assignments/${data.assignmentId}`} aria-label="Back" className="rounded-house p-1.5 hover:bg-line/50"><ArrowLeft size={18} /></Link>
        <h1 className="max-w-72 truncate font-bold">{data.own ? sheet.title : <>{data.student} <span className="font-normal text-soft">· {sheet.title}</span></>}</h1>
        <PartNav parts={sheet.parts} open={open} current={current} onGo={setCurrent} />
        <div className="ml-auto flex items-center gap-3">
          {data.own && !data.submittedAt && <KeptSign keeping={journal.kept()} />}
          {data.submittedAt && <p className="text-right text-fine leading-tight text-verdigris">Handed in {dayAndTime(data.submittedAt)}<br /><b className="mono">{data.points}</b> of {sheet.points} points</p>}
          {!data.own && !data.submittedAt && <p className="text-fine text-soft">read only · working</p>}
          <ReportButton work={data.id} name={`${sheet.title} ${data.student}`} sheet={sheet} journal={journal} />
          {data.own && !data.submittedAt && <Button onClick={() => setSubmitting(true)}>Hand in …</Button>}
        </div>
      </header>
      <div className="grid min-h-0 grid-cols-[minmax(18rem,23rem)_minmax(0,1fr)]">
        <main className="flex flex-col gap-4 overflow-auto border-r bg-sheet px-5 py-4">
          <h2 className="text-lead font-bold">{part.title}</h2>
          {journal.refused.length > 0 && <Trouble error={`Not kept: ${journal.refused.at(-1)!.reason}`} />}
          {part.blocks.map((b) => <BlockView key={b.id} block={b} context={context} />)}
          {current + 1 < sheet.parts.length && (
            <div className="mt-auto border-t pt-3 text-right">
              {current + 1 < open
                ? <Button kind={part.kind === 'aim' || part.kind === 'predict' ? 'main' : 'plain'} onClick={() => setCurrent(current + 1)}>Go on: {sheet.parts[current + 1].title}</Button>
                : <span className="text-soft">Seal your prediction to go on.</span>}
            </div>
          )}
        </main>
        <section className="min-h-0 min-w-0" aria-label="Bench and notebook">
          <Workbench work={data.id} sheet={sheet} part={Math.min(current, sheet.parts.length - 1)} journal={journal} trials={data.trials} readOnly={readOnly} open={open > hasFilms} />
        </section>
      </div>
      {submitting && <SubmitDialog work={data.id} journal={journal} onClose={() => setSubmitting(false)} onDone={() => { setSubmitting(false); void refresh(); }} />}
    </div>
  );
}

function progressOf(block: Block, data: Schemas['WorkView'], journal: Parameters<typeof tableOf>[0]): string {
  if (block.type === 'films') {
    const distinct = new Set(data.trials.filter((t) => t.block === block.id).map((t) => block.choices.map((c) => t.chosen[c.id]).join()));
    return `${distinct.size} of ${block.distinctTrials}`;
  }
  if (block.type === 'bench') {
    const trials = Object.entries(journal.all()[block.id] ?? {}).filter(([slot, t]) => slot.startsWith('trial/') && !t.removed);
    const distinct = new Set(trials.map(([, t]) => JSON.stringify(t.settings)));
    return `${distinct.size} of ${block.distinctTrials} trials`;
  }
  if (block.type === 'table') {
    const table = tableOf(journal, block);
    const full = table.rows.filter((r) => table.columns.every((c) => c.kind === 'calculated' || (r.cells[c.id] ?? '').trim() !== ''));
    return `${full.length} of ${block.rows} rows`;
  }
  if (block.type === 'graph' && !block.line) return '';
  if (block.type === 'graph') return journal.read<{ line?: boolean }>(block.id, 'view')?.line ? 'line fitted' : 'no line yet';
  return '';
}
