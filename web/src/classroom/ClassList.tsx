import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { dayAndTime, isPast, timeOfDay } from '../ui/dates';
import { Shell } from '../shell/Shell';
import { Button, Trouble } from '../ui';
import { AssignmentSettings } from './AssignmentSettings';
import { MoreTime } from './MoreTime';

/** What there is to be seen of a class at a lab, besides the list. */
const VIEWS = [
  ['questions', 'Question by question'],
  ['pool', 'In one graph'],
];

const RULES = { OPEN: '', MARKED: ', later counts as late', CLOSED: ', then closed' };
const STATES = { 'not-started': 'not started', working: 'working', submitted: 'handed in' } as Record<string, string>;

/** Who is where with a lab, and how many points so far. */
export function ClassList() {
  const { assignmentId = '' } = useParams();
  const { data, error } = useQuery({
    queryKey: ['class-list', assignmentId],
    queryFn: () => ask(api.GET('/api/teaching/assignments/{id}', { params: { path: { id: assignmentId } } })),
    refetchInterval: 10_000,
  });
  const [extending, setExtending] = useState<Schemas['StudentLine'] | null>(null);
  return (
    <Shell help="watch">
      <Trouble error={error} />
      {!data && !error && <p className="text-soft">Opening …</p>}
      {data && (
        <>
          <p className="text-soft">
            <Link to="/" className="text-indigo underline">
              Classes
            </Link>{' '}
            /{' '}
            <Link to={`/classes/${data.classId}`} className="text-indigo underline">
              {data.className}
            </Link>
          </p>
          <div className="mb-1 flex flex-wrap items-center gap-x-4 gap-y-2">
            <h1 className="mr-auto text-title font-bold">{data.title}</h1>
            <div className="ml-auto flex items-center gap-2 whitespace-nowrap">
              <Link
                to={`/assignments/${data.id}/live`}
                className={
                  'rounded-house border border-copper bg-copper px-3.5 py-1.5 font-semibold text-on-copper ' +
                  'hover:brightness-110'
                }
              >
                Watch live
              </Link>
              {data.students.some((s) => s.workId) &&
                VIEWS.map(([place, name]) => (
                  <Link
                    key={place}
                    to={`/assignments/${data.id}/${place}`}
                    className="rounded-house border border-edge bg-sheet px-3.5 py-1.5 font-semibold hover:border-ink"
                  >
                    {name}
                  </Link>
                ))}
              <AssignmentSettings list={data} />
            </div>
          </div>
          <p className="mb-5 text-soft">
            {data.openAt && !isPast(data.openAt) && `opens ${dayAndTime(data.openAt)}, `}
            {data.dueAt ? `${isPast(data.dueAt) ? 'was due' : 'due'} ${dayAndTime(data.dueAt)}` : 'no due time'}
            {data.dueAt && RULES[data.lateRule]} · class code <b className="mono text-ink">{data.code}</b>
          </p>
          {data.together && <PointsShown list={data} />}
          {data.newer && <Newer list={data} />}
          {data.students.length === 0 ? (
            <p>
              Nobody is in this class yet. Students open <span className="mono">{location.origin}/join</span> and type
              the code <b className="mono">{data.code}</b>.
            </p>
          ) : (
            <table className="w-full rounded-house border bg-sheet text-left">
              <thead className="text-fine text-soft">
                <tr>
                  {['Student', 'User name', 'State', 'Part', 'Last entry', 'Points'].map((h) => (
                    <th
                      key={h}
                      scope="col"
                      className={`border-b px-4 py-2 font-semibold ${h === 'Points' ? 'text-right' : ''}`}
                    >
                      {h}
                    </th>
                  ))}
                  <th className="border-b">
                    <span className="sr-only">Time</span>
                  </th>
                  <th className="border-b">
                    <span className="sr-only">Work</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {data.students.map((s) => (
                  <Line key={s.studentId} s={s} onExtend={data.dueAt ? () => setExtending(s) : undefined} />
                ))}
              </tbody>
            </table>
          )}
          {extending && <MoreTime list={data} student={extending} onClose={() => setExtending(null)} />}
        </>
      )}
    </Shell>
  );
}

/** Points that appear all together: whether they do, and the way there and back. */
function PointsShown({ list }: { list: Schemas['ClassList'] }) {
  const queries = useQueryClient();
  const show = useMutation({
    mutationFn: (shown: boolean) =>
      ask(api.POST('/api/teaching/assignments/{id}/points', { params: { path: { id: list.id } }, body: { shown } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['class-list', list.id] }),
  });
  const waiting = list.students.filter((s) => s.toMark).length;
  return (
    <div className="mb-4 flex items-center gap-4 rounded-house border-l-3 border-indigo bg-stage px-3 py-2">
      <p className="flex-1">
        {list.pointsShown
          ? 'Students see their points and marks.'
          : `Students don’t see points and marks yet` +
            `${waiting ? `; ${waiting} still ${waiting === 1 ? 'waits' : 'wait'} to be marked` : ''}.`}
      </p>
      <Trouble error={show.error} />
      <Button disabled={show.isPending} onClick={() => show.mutate(!list.pointsShown)}>
        {list.pointsShown ? 'Hide them again' : 'Show points to all'}
      </Button>
    </div>
  );
}

/** The lab was changed since it was given. */
function Newer({ list }: { list: Schemas['ClassList'] }) {
  const queries = useQueryClient();
  const move = useMutation({
    mutationFn: () => ask(api.POST('/api/teaching/assignments/{id}/version', { params: { path: { id: list.id } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['class-list', list.id] }),
  });
  const waiting = list.students.filter((s) => !s.workId).length;
  return (
    <div className="mb-4 flex items-center gap-4 rounded-house border-l-3 border-ochre bg-wash px-3 py-2">
      <p className="flex-1">
        This lab has a newer version than was given. Whoever has begun stays with theirs
        {waiting > 0 ? `; ${waiting} ${waiting === 1 ? 'has' : 'have'} not begun.` : '. Everybody has begun.'}
      </p>
      <Trouble error={move.error} />
      <Button disabled={move.isPending} onClick={() => move.mutate()}>
        Who begins now begins the new one
      </Button>
    </div>
  );
}

function Line({ s, onExtend }: { s: Schemas['StudentLine']; onExtend?: () => void }) {
  return (
    <tr className="not-last:border-b">
      <th scope="row" className="px-4 py-1.5 font-semibold">
        {s.name}
      </th>
      <td className="mono px-4 text-fine text-soft">{s.userName}</td>
      <td className="px-4">
        <span
          className={
            s.state === 'submitted' ? 'font-semibold text-verdigris' : s.state === 'working' ? '' : 'text-soft'
          }
        >
          {s.state === 'submitted' ? '● ' : s.state === 'working' ? '◐ ' : '○ '}
          {STATES[s.state]}
        </span>
        {s.late && <span className="ml-2 rounded-house border border-ochre bg-wash px-1.5 text-fine">late</span>}
        {s.earlier && <span className="ml-2 text-fine text-soft">earlier version</span>}
      </td>
      <td className="px-4">{s.part ?? ''}</td>
      <td className="px-4 text-fine text-soft">
        {s.submittedAt ? dayAndTime(s.submittedAt) : s.lastEntry ? timeOfDay(new Date(s.lastEntry)) : ''}
      </td>
      <td className="mono px-4 text-right">{s.workId ? `${s.points} / ${s.of}` : ''}</td>
      <td className="px-2 text-fine">
        {onExtend && (
          <button
            type="button"
            className="text-indigo underline underline-offset-3"
            aria-label={`More time for ${s.name}`}
            onClick={onExtend}
          >
            {s.dueAt ? `until ${dayAndTime(s.dueAt)}` : 'more time'}
          </button>
        )}
      </td>
      <td className="px-4 text-right">
        {s.workId && (
          <Link
            to={`/work/${s.workId}`}
            aria-label={`${s.toMark ? 'Mark' : 'Look at'} the work of ${s.name}`}
            className={
              s.toMark ? 'rounded-house border border-ochre bg-wash px-2 font-semibold' : 'text-indigo underline'
            }
          >
            {s.toMark ? 'Mark' : 'Look'}
          </Link>
        )}
      </td>
    </tr>
  );
}
