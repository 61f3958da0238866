import { Link } from 'react-router';
import { apparatusList } from '../core';
import { ApparatusPortrait } from '../scenes/ApparatusPortrait';

/** Every apparatus, as it shows itself, with a way to its bench. */
export function ApparatusList() {
  return (
    <ul className="grid grid-cols-2 gap-4">
      {apparatusList.map((m) => (
        <li key={m.id} className="flex overflow-hidden rounded-house border bg-sheet">
          <ApparatusPortrait id={m.id} className="w-44 shrink-0" />
          <div className="flex flex-1 flex-col gap-2 p-4">
            <h3 className="font-bold">{m.name}</h3>
            <p className="text-fine">{m.summary}</p>
            <p className="text-fine text-soft">{m.topics.join(' · ')}</p>
            <Link
              to={`/bench/${m.id}`}
              className={
                'mt-auto self-start rounded-house border border-copper bg-copper px-3.5 py-1.5 ' +
                'font-semibold text-on-copper'
              }
            >
              Open on the bench
            </Link>
          </div>
        </li>
      ))}
    </ul>
  );
}
