import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { dayAndTime } from '../ui/dates';
import { Shell } from '../shell/Shell';
import { Trouble } from '../ui';
import { wordsOf } from './GradeCell';

/** A student's points over all labs, class by class. */
export function MyPoints() {
  const { data, error } = useQuery({ queryKey: ['points'], queryFn: () => ask(api.GET('/api/points')) });
  return (
    <Shell help="points">
      <Trouble error={error} />
      {!data && !error && <p className="text-soft">Opening …</p>}
      {data && (
        <>
          <h1 className="mb-5 text-title font-bold">My points</h1>
          {data.every((c) => c.labs.length === 0) && (
            <p>Your classes have no labs yet. Points stand here once you have handed one in.</p>
          )}
          {data
            .filter((c) => c.labs.length > 0)
            .map((c) => (
              <ClassPoints key={c.id} book={c} />
            ))}
        </>
      )}
    </Shell>
  );
}

function ClassPoints({ book }: { book: Schemas['GradebookView'] }) {
  const [me] = book.students;
  const kind = new Map(book.categories.map((c) => [c.id, c]));
  return (
    <section className="mb-8" aria-label={book.name}>
      <h2 className="mb-2 flex items-baseline justify-between text-lead font-bold">
        {book.name}
        {me.percent != null && (
          <span>
            <span className="mono">{me.percent} %</span> <span className="text-fine font-normal text-soft">so far</span>
          </span>
        )}
      </h2>
      <table className="w-full rounded-house border bg-sheet text-left">
        <thead className="text-fine text-soft">
          <tr>
            {['Lab', ...(kind.size > 0 ? ['Category, weight'] : []), 'Due', 'How it stands'].map((h) => (
              <th key={h} scope="col" className="border-b px-4 py-2 font-semibold">
                {h}
              </th>
            ))}
            <th scope="col" className="border-b px-4 py-2 text-right font-semibold">
              Points
            </th>
          </tr>
        </thead>
        <tbody>
          {book.labs.map((lab, i) => {
            const cell = me.cells[i];
            const category = lab.category ? kind.get(lab.category) : undefined;
            return (
              cell && (
                <tr key={lab.assignmentId} className="not-last:border-b">
                  <th scope="row" className="px-4 py-2 font-semibold">
                    {cell.workId ? (
                      <Link to={`/work/${cell.workId}`} className="text-indigo underline">
                        {lab.title}
                      </Link>
                    ) : (
                      lab.title
                    )}
                  </th>
                  {kind.size > 0 && (
                    <td className="px-4 text-fine">{category ? `${category.name}, ${category.weight}` : ''}</td>
                  )}
                  <td className="px-4 text-fine text-soft">{lab.dueAt ? dayAndTime(lab.dueAt) : ''}</td>
                  <td className={`px-4 text-fine ${cell.missing ? 'font-semibold text-copper' : ''}`}>
                    {wordsOf(cell, lab.of)}
                  </td>
                  <td className="mono px-4 text-right whitespace-nowrap">
                    {cell.points != null && `${cell.points} / ${lab.of}`}
                  </td>
                </tr>
              )
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
