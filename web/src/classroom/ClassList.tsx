import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { dayAndTime, isPast, timeOfDay } from '../ui/dates';
import { Shell } from '../shell/Shell';
import { Trouble } from '../ui';
import { AssignmentSettings } from './AssignmentSettings';

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
          <div className="flex items-center gap-2">
            <h1 className="mr-auto text-title font-bold">{data.title}</h1>
            <AssignmentSettings list={data} />
          </div>
          <p className="mb-5 text-soft">
            {data.dueAt ? `${isPast(data.dueAt) ? 'was due' : 'due'} ${dayAndTime(data.dueAt)}` : 'no due time'}
            {data.dueAt && RULES[data.lateRule]} · class code <b className="mono text-ink">{data.code}</b>
          </p>
          {data.students.length === 0 ? (
            <p>
              Nobody is in this class yet. Students join at this address with the code{' '}
              <b className="mono">{data.code}</b>.
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
                    <span className="sr-only">Work</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {data.students.map((s) => (
                  <Line key={s.studentId} s={s} of={data.points} />
                ))}
              </tbody>
            </table>
          )}
        </>
      )}
    </Shell>
  );
}

function Line({ s, of }: { s: Schemas['StudentLine']; of: number }) {
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
      </td>
      <td className="px-4">{s.part ?? ''}</td>
      <td className="px-4 text-fine text-soft">
        {s.submittedAt ? dayAndTime(s.submittedAt) : s.lastEntry ? timeOfDay(new Date(s.lastEntry)) : ''}
      </td>
      <td className="mono px-4 text-right">{s.workId ? `${s.points} / ${of}` : ''}</td>
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
