import { ArrowLeft } from 'lucide-react';
import { lazy, type ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import type { Schemas } from '../api/client';
import type { Block, Sheet } from '../core';
import type { Journal } from '../notebook/journal';
import { Help } from '../shell/Help';
import type { HelpPlace } from '../shell/help';
import { Button } from '../ui';
import { Fetched } from '../ui/Fetched';
import { InTouch } from './InTouch';
import type { Looking } from './looking';
import { KeptSign } from './KeptSign';
import { HistoryButton, State } from './State';
import { useOpened } from './useOpened';

const marking = () => import('../marking');
const Reopen = lazy(async () => ({ default: (await marking()).Reopen }));
const TryNote = lazy(async () => ({ default: (await marking()).TryNote }));
const TakeBack = lazy(async () => ({ default: (await marking()).TakeBack }));

// Fetched once the lab is open: a report needs the server anyway.
const ReportButton = lazy(async () => ({ default: (await import('./ReportButton')).ReportButton }));
const Nameless = lazy(async () => ({ default: (await marking()).Nameless }));

interface Props {
  data: Schemas['WorkView'];
  sheet: Sheet;
  journal: Journal;
  readOnly: boolean;
  past: boolean;
  nameless: boolean;
  part: Sheet['parts'][number];
  notesAt: HTMLElement | null;
  looking: Looking;
  onDone: () => Promise<unknown>;
  onHandIn: () => void;
  /** The parts of the lab. */
  children: ReactNode;
}

/** Above a work: whose it is, its parts, how it stands, and what can be done with it as a whole. */
export function WorkHeader({
  data,
  sheet,
  journal,
  readOnly,
  past,
  nameless,
  part,
  notesAt,
  looking,
  onDone,
  onHandIn,
  children,
}: Props) {
  const { state } = useLocation();
  const opened = useOpened(sheet, data.id, !readOnly);
  const inTouch = opened && !data.tryOf && !past && !nameless;
  return (
    <header className="flex min-w-0 items-center gap-3 border-b bg-sheet px-4">
      <Link to={backFrom(data, nameless, state)} aria-label="Back" className="rounded-house p-1.5 hover:bg-line/50">
        <ArrowLeft size={18} />
      </Link>
      <h1 className="max-w-72 min-w-24 shrink-[999] truncate font-bold">
        {data.own ? (
          sheet.title
        ) : (
          <>
            {nameless ? 'One student' : data.student} <span className="font-normal text-soft">· {sheet.title}</span>
          </>
        )}
      </h1>
      {children}
      <div className="ml-auto flex shrink-0 items-center gap-2">
        {data.own && !readOnly && <KeptSign keeping={journal.kept()} />}
        {!nameless && <State data={data} of={sheet.points} />}
        <Fetched narrow what="Some buttons">
          {data.tryOf && <TryNote lab={data.tryOf} from={cameFrom(state)} />}
          {!past && !nameless && <Again data={data} onDone={onDone} />}
        </Fetched>
        {!nameless && <HistoryButton data={data} />}
        {inTouch && <InTouch {...{ data, part, journal, notesAt, looking }} done={readOnly} onAdded={onDone} />}
        <Fetched narrow what="Some buttons">
          {!data.own && <Nameless on={nameless} />}
        </Fetched>
        <Help at={data.own ? helpFor(part) : 'watch'} />
        {opened && !nameless && (
          <Fetched narrow what="Some buttons">
            <ReportButton
              work={data.id}
              name={`${sheet.title} ${data.student}`}
              sheet={sheet}
              journal={journal}
              brief={!data.own}
            />
          </Fetched>
        )}
        {data.own && !readOnly && <Button onClick={onHandIn}>Hand in …</Button>}
      </div>
    </header>
  );
}

/** The way back for what is handed in, or was closed: of the student's own, or by the teacher. */
function Again({ data, onDone }: { data: Schemas['WorkView']; onDone: () => Promise<unknown> }) {
  if (data.own) return data.takesBack && <TakeBack work={data.id} onDone={onDone} />;
  return (data.submittedAt || data.closed) && <Reopen work={data.id} onDone={onDone} />;
}

/** Where the arrow leads: from a work without its name to a page without names. */
function backFrom(data: Schemas['WorkView'], nameless: boolean, state: unknown) {
  if (data.tryOf) return cameFrom(state);
  return data.own ? '/' : `/assignments/${data.assignmentId}${nameless ? '/pool' : ''}`;
}

/** Where a teacher began to try a lab. */
const cameFrom = (state: unknown) => (state as { from?: string } | null)?.from ?? '/my-labs';

/** What a student may want to read in a part. */
function helpFor(part: Sheet['parts'][number]): HelpPlace {
  const has = (type: Block['type']) => part.blocks.some((b) => b.type === type);
  if (has('films')) return 'record';
  if (has('bench')) return 'openBench';
  if (has('graph')) return 'graphs';
  return has('number') ? 'answers' : 'parts';
}
