import { History as HistorySign } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { dayAndTime } from '../ui/dates';
import { FetchedDialog } from '../ui/FetchedDialog';
import { Button } from '../ui';

// Only who has handed in reads it.
const Afterwards = lazy(() => import('./Afterwards').then((m) => ({ default: m.Afterwards })));

const loadHistory = () => import('../marking').then((m) => m.History);

/** Where a work stands: closed, handed in and what it brought, or as it was handed in once. */
export function State({ data, of }: { data: Schemas['WorkView']; of: number }) {
  const { score } = data;
  return (
    <>
      {data.closed && !data.submittedAt && (
        <p className="text-right text-fine leading-tight text-copper">
          The due time is over:
          <br />
          this lab is closed
        </p>
      )}
      {data.submittedAt && (
        <p className="text-right text-fine leading-tight text-verdigris">
          Handed in {dayAndTime(data.submittedAt)}
          {data.late && ', late'}
          <br />
          {score ? (
            <>
              <b className="mono">{score.points}</b> of {of} points
              {score.forDone > 0 &&
                `, ${score.forDone} of them for having done ${score.done} of ${score.asked} things asked for`}
            </>
          ) : (
            'points are shown later'
          )}
        </p>
      )}
    </>
  );
}

/** The way to what was done with a work. */
export function HistoryButton({ data }: { data: Schemas['WorkView'] }) {
  const [open, setOpen] = useState(false);
  // Of what nobody else has looked at there is nothing to tell.
  if (data.tryOf || (data.own && !data.submittedAt && !data.again)) return null;
  return (
    <>
      <Button small kind="quiet" title="History" aria-label="History" onClick={() => setOpen(true)}>
        <HistorySign size={16} aria-hidden />
      </Button>
      {open && (
        <FetchedDialog
          title="History of this work"
          load={loadHistory}
          props={{ work: data.id, onClose: () => setOpen(false) }}
        />
      )}
    </>
  );
}

/** What stands above a part: that it is past, that it was given back and what to do again, and notes. */
export function Above({
  data,
  past,
  notesAt,
}: {
  data: Schemas['WorkView'];
  past: boolean;
  notesAt: (place: HTMLElement | null) => void;
}) {
  return (
    <>
      {past && (
        <p className="rounded-house border-l-3 border-indigo bg-stage px-3 py-2">
          This is the notebook as it was handed in.{' '}
          <Link to={`/work/${data.id}`} className="text-indigo underline">
            Back to how it stands now
          </Link>
        </p>
      )}
      {data.own && data.again && !past && <GivenBack again={data.again} />}
      {data.own && data.submittedAt && !data.tryOf && !past && (
        <Suspense>
          <Afterwards work={data.id} />
        </Suspense>
      )}
      <div ref={notesAt} className="empty:hidden" />
    </>
  );
}

function GivenBack({ again }: { again: Schemas['AgainView'] }) {
  return (
    <section className="rounded-house border-l-3 border-ochre bg-wash px-3 py-2">
      <p className="text-fine text-soft">
        Given back by {again.by}, {dayAndTime(again.at)}
      </p>
      <p className="[overflow-wrap:anywhere] whitespace-pre-wrap">
        {again.words || 'Have another go, then hand it in again.'}
      </p>
    </section>
  );
}
