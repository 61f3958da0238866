import { Link } from 'react-router';
import { ApparatusPortrait } from '../scenes/ApparatusPortrait';
import type { Listed } from './find';

export const toBench =
  'self-start rounded-house border border-copper bg-copper px-3.5 py-1.5 font-semibold text-on-copper';

/** Apparatus, as they show themselves, with a way to the page of each and to its bench. */
export function ApparatusList({ list }: { list: Listed[] }) {
  return (
    <ul className="grid grid-cols-2 gap-4">
      {list.map((m) => (
        <li key={m.id} className="flex overflow-hidden rounded-house border bg-sheet">
          <ApparatusPortrait id={m.id} className="w-44 shrink-0" />
          <div className="flex flex-1 flex-col gap-2 p-4">
            <h3 className="font-bold">
              <Link
                to={`/apparatus/${m.id}`}
                className="underline decoration-edge underline-offset-4 hover:decoration-ink"
              >
                {m.name}
              </Link>
            </h3>
            <p className="text-fine">{m.summary}</p>
            <p className="text-fine text-soft">{m.topics.join(' · ')}</p>
            <Link to={`/bench/${m.id}`} className={`mt-auto ${toBench}`}>
              Open on the bench
            </Link>
          </div>
        </li>
      ))}
    </ul>
  );
}
