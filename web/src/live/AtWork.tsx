import { useMutation } from '@tanstack/react-query';
import { Hand } from 'lucide-react';
import { useEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import { api, ask, type Schemas } from '../api/client';
import { timeOfDay } from '../ui/dates';
import { Button, Trouble } from '../ui';
import type { Sheet } from '../core';
import { useEvents } from './events';
import { HelpDialog } from './HelpDialog';
import { Notes } from './Notes';
import { PauseCover } from './PauseCover';

/** What a pause may last on a page that hears nothing any more. */
function useOver(until?: string): boolean {
  const [over, setOver] = useState<string>();
  useEffect(() => {
    if (!until) return;
    const timer = setTimeout(() => setOver(until), Math.max(0, new Date(until).getTime() - Date.now()));
    return () => clearTimeout(timer);
  }, [until]);
  return over === until;
}

const SAID_EVERY = 15_000;

/** Says every quarter of a minute that the page is there: a network that is lost breaks no stream. */
function useHere(work: string, part: string) {
  useEffect(() => {
    const timer = setInterval(() => {
      // Out of reach: that is just what the teacher is to see.
      void api
        .POST('/api/works/{workId}/here', { params: { path: { workId: work }, query: { part } } })
        .catch(() => undefined);
    }, SAID_EVERY);
    return () => clearInterval(timer);
  }, [work, part]);
}

/**
 * A student's page in touch with the teacher: notes come in, help is asked for, the class pauses together. Without a
 * network the lab goes on without it.
 */
export function AtWork({
  work,
  part,
  settle,
  notesAt,
  done,
  onNow,
}: {
  work: string;
  part: Sheet['parts'][number];
  settle: () => Promise<boolean>;
  /** Where on the page notes stand. */
  notesAt: HTMLElement | null;
  /** Whether the work is handed in or closed: then nobody is asked for help any more. */
  done: boolean;
  /** Told of all that is heard. */
  onNow: (now: Schemas['WorkNow']) => void;
}) {
  const [now, setNow] = useState<Schemas['WorkNow']>();
  const [asking, setAsking] = useState(false);
  useEvents<Schemas['WorkNow']>(`/api/works/${work}/live?part=${encodeURIComponent(part.id)}`, (told) => {
    setNow(told);
    onNow(told);
  });
  useHere(work, part.id);
  const takeBack = useMutation({
    mutationFn: () => ask(api.DELETE('/api/works/{workId}/calls', { params: { path: { workId: work } } })),
  });
  const over = useOver(now?.paused?.until);
  return (
    <>
      {now?.call ? (
        <span className="flex items-center gap-1.5 rounded-house border border-ochre bg-wash px-2 py-0.5 text-fine">
          <Hand size={14} className="text-ochre" aria-hidden />
          <span role="status">Help asked {timeOfDay(new Date(now.call.askedAt))}</span>
          <button
            type="button"
            className="text-indigo underline"
            disabled={takeBack.isPending}
            onClick={() => takeBack.mutate()}
          >
            take back
          </button>
        </span>
      ) : (
        !done && (
          <Button onClick={() => setAsking(true)}>
            <Hand size={15} aria-hidden />
            Ask for help
          </Button>
        )
      )}
      <Trouble error={takeBack.error} />
      {notesAt && now && now.notes.length > 0 && createPortal(<Notes work={work} notes={now.notes} own />, notesAt)}
      {asking && <HelpDialog work={work} part={part} settle={settle} onClose={() => setAsking(false)} />}
      {now?.paused && !over && <PauseCover paused={now.paused} />}
    </>
  );
}
