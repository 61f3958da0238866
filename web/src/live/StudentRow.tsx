import { Check, Hand } from 'lucide-react';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { timeOfDay } from '../ui/dates';

/** Whether a student is there, by a sign and in words. */
function Where({ s }: { s: Schemas['LiveLine'] }) {
  if (s.state === 'submitted')
    return (
      <>
        <Check size={14} strokeWidth={3} className="text-verdigris" aria-hidden />
        <span className="sr-only">handed in</span>
      </>
    );
  const look = s.here
    ? 'border-verdigris bg-verdigris'
    : s.state === 'working'
      ? 'border-edge'
      : 'border-dashed border-edge';
  return (
    <>
      <span aria-hidden className={`size-2.5 rounded-full border-2 ${look}`} />
      <span className="sr-only">{s.here ? 'here' : s.state === 'working' ? 'away' : 'not started'}</span>
    </>
  );
}

/** How far a student is: a field for each part. */
function Parts({ s, parts }: { s: Schemas['LiveLine']; parts: string[] }) {
  return (
    <span className="flex shrink-0 items-center gap-0.5" aria-hidden>
      {parts.map((title, i) => (
        <span
          key={i}
          className={`h-2 w-3.5 border ${
            i < s.done ? 'border-verdigris bg-verdigris' : 'border-edge'
          } ${s.here && s.part === title ? 'outline-2 outline-offset-1 outline-copper' : ''}`}
        />
      ))}
    </span>
  );
}

/** What is to be said of a student in a line: what is asked, else a sign, else where they are and what they read. */
function Says({ s }: { s: Schemas['LiveLine'] }) {
  if (s.call)
    return (
      <span className="font-semibold text-ochre">
        <Hand size={13} className="mr-1 inline" aria-hidden />
        asks for help: {s.call.words || s.call.about}
      </span>
    );
  if (s.signs.length > 0) return <span className="font-semibold text-ochre">{s.signs.join(' · ')}</span>;
  if (s.state === 'not-started') return <>not started</>;
  const told = [
    s.state === 'submitted' ? (s.toMark ? 'handed in, to be marked' : 'handed in') : s.part,
    s.reading,
    s.lastDeed && timeOfDay(new Date(s.lastDeed)),
  ];
  return <>{told.filter(Boolean).join(' · ')}</>;
}

/** One student at work, in a row of a fixed height, so that a whole class keeps its place on the screen. */
export function StudentRow({
  s,
  name,
  parts,
  of,
  chosen,
  onChoose,
  onAnswer,
}: {
  s: Schemas['LiveLine'];
  name: string;
  parts: string[];
  of: number;
  chosen: boolean;
  onChoose: (on: boolean) => void;
  onAnswer: () => void;
}) {
  const needs = !!s.call || s.signs.length > 0;
  return (
    <li
      className={
        'flex h-10 items-center gap-2.5 border-b border-l-3 px-2 ' +
        (needs ? 'border-l-ochre bg-wash' : 'border-l-transparent')
      }
    >
      <input
        type="checkbox"
        className="accent-copper"
        aria-label={`Choose ${name}`}
        disabled={!s.workId}
        checked={chosen}
        onChange={(e) => onChoose(e.target.checked)}
      />
      <span className="flex w-4 shrink-0 justify-center">
        <Where s={s} />
      </span>
      <div className="min-w-0 flex-1 leading-tight">
        <div className="flex items-center gap-2">
          {s.workId ? (
            <Link to={`/work/${s.workId}`} className="truncate font-semibold hover:underline">
              {name}
            </Link>
          ) : (
            <span className="truncate text-soft">{name}</span>
          )}
          <Parts s={s} parts={parts} />
          <span className="sr-only">
            {s.done} of {parts.length} parts done
          </span>
        </div>
        <p className="truncate text-fine text-soft" title={s.call ? `${s.call.about} ${s.call.words}` : undefined}>
          <Says s={s} />
        </p>
      </div>
      {s.tries > 0 && (
        <span className="shrink-0 text-fine text-soft">
          {s.tries} {s.tries === 1 ? 'try' : 'tries'}
        </span>
      )}
      {s.workId && (
        <span className="mono w-16 shrink-0 text-right text-fine">
          {s.points} / {of}
        </span>
      )}
      {needs && (
        <button
          type="button"
          className="shrink-0 rounded-house border border-ochre bg-sheet px-2 text-fine font-semibold hover:border-ink"
          aria-label={`${s.call ? 'Answer' : 'Write to'} ${name}`}
          onClick={onAnswer}
        >
          {s.call ? 'Answer' : 'Write'}
        </button>
      )}
    </li>
  );
}
