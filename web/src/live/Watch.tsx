import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Check, MessageSquare } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { Shell } from '../shell/Shell';
import { Button, Toggle, Trouble } from '../ui';
import { useEvents } from './events';
import { EyesUpButton, PausedBanner } from './EyesUp';
import { merged, needing, numbered } from './merge';
import { NoteDialog } from './NoteDialog';
import { StudentRow } from './StudentRow';

const HIDDEN = 'cauldron-names-hidden';
const QUIET = 'cauldron-quiet-minutes';
const MINUTES = [3, 5, 8, 12, 20];

/** A class at work, as it happens: who is where, who asks for help, who may be stuck. */
export function Watch() {
  const { assignmentId = '' } = useParams();
  const queries = useQueryClient();
  const [quiet, setQuiet] = useState(Number(localStorage.getItem(QUIET)) || 5);
  const key = ['live', assignmentId, quiet];
  const { data, error } = useQuery({
    queryKey: key,
    queryFn: () =>
      ask(api.GET('/api/teaching/assignments/{id}/now', { params: { path: { id: assignmentId }, query: { quiet } } })),
    staleTime: Infinity,
    gcTime: 0,
  });
  const hears = useEvents<Schemas['LiveClass']>(
    data ? `/api/teaching/assignments/${assignmentId}/live?quiet=${quiet}` : null,
    (told) => queries.setQueryData<Schemas['LiveClass']>(key, (known) => merged(known, told)),
  );
  return (
    <Shell help="live" wide>
      <Trouble error={error} />
      {!data && !error && <p className="text-soft">Opening …</p>}
      {data && (
        <AtWork
          data={data}
          hears={hears}
          quiet={quiet}
          onQuiet={(minutes) => {
            localStorage.setItem(QUIET, String(minutes));
            setQuiet(minutes);
          }}
        />
      )}
    </Shell>
  );
}

function AtWork({
  data,
  hears,
  quiet,
  onQuiet,
}: {
  data: Schemas['LiveClass'];
  hears: boolean;
  quiet: number;
  onQuiet: (minutes: number) => void;
}) {
  const [hidden, setHidden] = useState(localStorage.getItem(HIDDEN) === 'yes');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [writing, setWriting] = useState<Schemas['LiveLine'][] | null>(null);
  const [told, setTold] = useState('');
  const numbers = numbered(data.students);
  const nameOf = (s: Schemas['LiveLine']) => (hidden ? numbers.get(s.studentId)! : s.name);
  const students = hidden
    ? [...data.students].sort((a, b) => nameOf(a).localeCompare(nameOf(b), 'en', { numeric: true }))
    : data.students;
  const picked = students.filter((s) => chosen.has(s.studentId) && s.workId);
  const here = students.filter((s) => s.here).length;
  const half = Math.ceil(students.length / 2);
  return (
    <>
      <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-1">
        <h1 className="min-w-0 truncate text-lead font-bold">
          <Link to={`/assignments/${data.id}`} className="text-indigo underline">
            {data.title}
          </Link>{' '}
          <span className="font-normal text-soft">
            · {data.className} · {here} of {students.length} here
          </span>
        </h1>
        {!hears && (
          <span role="status" className="text-fine text-ochre">
            no live connection just now
          </span>
        )}
        <div className="ml-auto flex items-center gap-4">
          <label className="flex items-center gap-1.5 text-fine">
            quiet after
            <select
              className="rounded-house border border-edge bg-sheet px-1 py-0.5"
              value={quiet}
              onChange={(e) => onQuiet(Number(e.target.value))}
            >
              {MINUTES.map((m) => (
                <option key={m} value={m}>
                  {m} min
                </option>
              ))}
            </select>
          </label>
          <Toggle
            label="Hide names"
            checked={hidden}
            onChange={(on) => {
              setHidden(on);
              localStorage.setItem(HIDDEN, on ? 'yes' : 'no');
            }}
          />
          <Button onClick={() => setWriting(picked)} disabled={students.length === 0}>
            <MessageSquare size={15} aria-hidden />
            {picked.length === 0
              ? 'Note to all'
              : picked.length === 1
                ? 'Note to the one chosen'
                : `Note to ${picked.length}`}
          </Button>
          {!data.paused && <EyesUpButton classId={data.classId} />}
        </div>
      </div>
      {data.paused && <PausedBanner classId={data.classId} paused={data.paused} />}
      <Needs students={students} nameOf={nameOf} onAnswer={(s) => setWriting([s])} />
      <p role="status" className="sr-only">
        {told}
      </p>
      {students.length === 0 ? (
        <p>
          Nobody is in this class yet. Students join with the code <b className="mono">{data.code}</b>.
        </p>
      ) : (
        <div className="grid grid-cols-1 gap-x-4 lg:grid-cols-2">
          {[students.slice(0, half), students.slice(half)].map(
            (column, i) =>
              column.length > 0 && (
                <ul
                  key={i}
                  className="h-fit border-t bg-sheet"
                  aria-label={i === 0 ? 'Students' : 'Students, continued'}
                >
                  {column.map((s) => (
                    <StudentRow
                      key={s.studentId}
                      s={s}
                      name={nameOf(s)}
                      parts={data.parts}
                      of={data.of}
                      chosen={chosen.has(s.studentId)}
                      onChoose={(on) => {
                        const next = new Set(chosen);
                        if (on) next.add(s.studentId);
                        else next.delete(s.studentId);
                        setChosen(next);
                      }}
                      onAnswer={() => setWriting([s])}
                    />
                  ))}
                </ul>
              ),
          )}
        </div>
      )}
      {students.length > 0 && !data.paused && <Legend />}
      {writing && (
        <NoteDialog
          assignment={data.id}
          to={writing}
          names={writing.map(nameOf)}
          onClose={() => setWriting(null)}
          onDone={(words) => {
            setWriting(null);
            setChosen(new Set());
            setTold(words);
          }}
        />
      )}
    </>
  );
}

/** What the signs of the rows mean. */
function Legend() {
  return (
    <p className="mt-1.5 flex flex-wrap items-center gap-x-4 text-fine text-soft">
      <span className="flex items-center gap-1.5">
        <span aria-hidden className="size-2.5 rounded-full border-2 border-verdigris bg-verdigris" /> here
      </span>
      <span className="flex items-center gap-1.5">
        <span aria-hidden className="size-2.5 rounded-full border-2 border-edge" /> away
      </span>
      <span className="flex items-center gap-1.5">
        <Check size={14} strokeWidth={3} className="text-verdigris" aria-hidden /> handed in
      </span>
      <span className="flex items-center gap-1.5">
        <span aria-hidden className="h-2 w-3.5 border border-verdigris bg-verdigris" /> part done
      </span>
      <span className="flex items-center gap-1.5">
        <span aria-hidden className="h-2 w-3.5 border border-edge outline-2 outline-offset-1 outline-copper" /> looked
        at
      </span>
    </p>
  );
}

const MOST_NAMED = 4;

/** In a line: who asks for help, and how many may be stuck. */
function Needs({
  students,
  nameOf,
  onAnswer,
}: {
  students: Schemas['LiveLine'][];
  nameOf: (s: Schemas['LiveLine']) => string;
  onAnswer: (s: Schemas['LiveLine']) => void;
}) {
  const { asked, stuck } = needing(students);
  return (
    <div className="mb-1 flex min-h-8 flex-wrap items-center gap-x-3 gap-y-1 text-fine" aria-live="polite">
      {asked.length + stuck.length === 0 && <span className="text-soft">Nobody needs you just now.</span>}
      {asked.length > 0 && <b className="text-ochre">Asking for help:</b>}
      {asked.slice(0, MOST_NAMED).map((s) => (
        <button
          key={s.studentId}
          type="button"
          className="rounded-house border border-ochre bg-wash px-2 py-0.5 font-semibold hover:border-ink"
          onClick={() => onAnswer(s)}
        >
          {nameOf(s)}
        </button>
      ))}
      {asked.length > MOST_NAMED && <span>and {asked.length - MOST_NAMED} more</span>}
      {stuck.length > 0 && (
        <span>
          <b className="text-ochre">May be stuck:</b> {stuck.slice(0, MOST_NAMED).map(nameOf).join(', ')}
          {stuck.length > MOST_NAMED && ` and ${stuck.length - MOST_NAMED} more`}
        </span>
      )}
    </div>
  );
}
