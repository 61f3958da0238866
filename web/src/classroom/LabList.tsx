import { Link } from 'react-router';
import { apparatusList } from '../core';
import type { LabView } from './find';

const WAYS: Record<string, string> = { recordings: 'recordings', bench: 'bench' };

/** Labs to read and give. */
export function LabList({ labs }: { labs: LabView[] }) {
  return (
    <ul className="flex flex-col gap-3">
      {labs.map((lab) => (
        <li key={lab.id} className="flex items-center gap-6 rounded-house border bg-sheet px-5 py-4">
          <div className="flex-1">
            <h3 className="font-bold">{lab.title}</h3>
            <p className="max-w-prose">{lab.summary}</p>
            <p className="text-fine text-soft">
              about {lab.minutes} minutes · {lab.points} points ·{' '}
              {apparatusList.find((a) => a.id === lab.apparatus)?.name ?? lab.apparatus}
              {lab.ways.length > 0 && ` · ${lab.ways.map((way) => WAYS[way]).join(' and ')}`}
            </p>
          </div>
          <Link
            to={`/labs/${lab.id}`}
            className="rounded-house border border-edge px-3.5 py-1.5 font-semibold hover:border-ink"
          >
            Read and give
          </Link>
        </li>
      ))}
    </ul>
  );
}
