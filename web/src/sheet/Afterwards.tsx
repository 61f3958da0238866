import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import { dayAndTime } from '../ui/dates';

/** After handing in: what the class as a whole found hard, and what comes next. */
export function Afterwards({ work }: { work: string }) {
  const { data } = useQuery({
    queryKey: ['afterwards', work],
    queryFn: () => ask(api.GET('/api/works/{workId}/afterwards', { params: { path: { workId: work } } })),
  });
  if (!data || (data.hard.length === 0 && !data.next)) return null;
  return (
    <section className="rounded-house border-l-3 border-verdigris bg-stage px-3 py-2 text-fine">
      {data.hard.length > 0 && (
        <>
          <h3 className="font-semibold">Your class as a whole</h3>
          {data.hard.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </>
      )}
      {data.next && (
        <p className={data.hard.length > 0 ? 'mt-1.5' : ''}>
          <b>Next:</b>{' '}
          <Link to="/" className="text-indigo underline">
            {data.next.title}
          </Link>
          {data.next.dueAt && `, due ${dayAndTime(data.next.dueAt)}`}
        </p>
      )}
    </section>
  );
}
