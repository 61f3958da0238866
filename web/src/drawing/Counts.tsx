import type { Drawing, Drawn } from '../core';
import { layPieces, readDrawing } from '../core/drawings';
import { inputClass } from '../ui';
import { MOST_PIECES } from './tools';

/** Of one kind in one place. */
const MOST = 60;

/** How many pieces lie where, to be typed: the same as laying them one by one. */
export function Counts({ drawing, onDrawn }: { drawing: Drawing; onDrawn: (drawn: Drawn) => void }) {
  const { places, pieces } = drawing.paper;
  if (places.length === 0 || pieces.length === 0) return null;
  const { counts } = readDrawing(drawing);
  const many = (place: string, piece: string) => counts.find((c) => c.place === place && c.piece === piece)?.many ?? 0;
  return (
    <table className="border-collapse">
      <caption className="sr-only">How many lie where</caption>
      <thead>
        <tr className="text-left text-fine text-soft">
          <td />
          {pieces.map((p) => (
            <th key={p.id} scope="col" className="px-1.5 font-semibold">
              {p.name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {places.map((place) => (
          <tr key={place.id}>
            <th scope="row" className="pr-2 text-left font-normal">
              {place.name}
            </th>
            {pieces.map((piece) => (
              <td key={piece.id} className="px-1.5 py-0.5">
                <input
                  type="number"
                  min={0}
                  max={MOST}
                  className={`${inputClass} mono min-h-7! w-16 text-right`}
                  aria-label={`${piece.name}, ${place.name}`}
                  value={many(place.id, piece.id)}
                  onChange={(e) => {
                    const now = many(place.id, piece.id);
                    const room = now + Math.max(0, MOST_PIECES - (drawing.drawn.pieces ?? []).length);
                    const next = Math.min(MOST, room, Math.max(0, Math.floor(Number(e.target.value))));
                    onDrawn(layPieces(drawing, piece.id, place.id, next));
                  }}
                />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
