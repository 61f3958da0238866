import { Link } from 'react-router';
import { apparatusList, initialSettings } from '../core';
import { openRun } from '../core/models';
import { NO_LAYERS, pictureOfRun } from '../picture/picture';
import { useApparatus } from '../scenes/useApparatus';

export default function ApparatusList() {
  return (
    <ul className="grid grid-cols-2 gap-4">
      {apparatusList.map((m) => (
        <li key={m.id} className="flex overflow-hidden rounded-house border bg-sheet">
          <Thumbnail id={m.id} />
          <div className="flex flex-1 flex-col gap-2 p-4">
            <h3 className="font-bold">{m.name}</h3>
            <p className="text-fine">{m.summary}</p>
            <p className="text-fine text-soft">{m.topics.join(' · ')}</p>
            <Link
              to={`/bench/${m.id}`}
              className="mt-auto self-start rounded-house border border-copper bg-copper px-3.5 py-1.5 font-semibold text-on-copper"
            >
              Open on the bench
            </Link>
          </div>
        </li>
      ))}
    </ul>
  );
}

/** The apparatus as it really stands at its initial settings. */
function Thumbnail({ id }: { id: string }) {
  const {
    m,
    scene: { Drawing },
  } = useApparatus(id);
  const run = openRun(m.id, initialSettings(m), 1);
  const picture = pictureOfRun(m, run.scene(), run.frame(m.views[0].id));
  return (
    <svg
      viewBox={`0 0 ${picture.width} ${picture.height}`}
      preserveAspectRatio="xMidYMid slice"
      className="w-44 bg-stage"
      role="img"
      aria-label={m.name}
    >
      <Drawing picture={picture} layers={NO_LAYERS} />
    </svg>
  );
}
