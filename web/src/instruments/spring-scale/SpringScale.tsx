import { inSentence } from '../../core/words';
import { arrowStep, useStage, useStageDrag } from '../../picture/Stage';
import type { Drawn } from '../kind/kind';

export interface Place {
  x: number;
  y: number;
  division?: number;
}

/** Height of the graduated part and width of the tube, in screen pixels. */
const TALL = 240;
const WIDE = 92;

/**
 * A spring scale hooked into one force of the apparatus. Its pointer goes down with the force and stops at
 * the end of the tube; it shows marks, never a value. The spring's own mass and swing are left out.
 */
export function SpringScale({ laidAs, instrument, name, place, state, onMove }: Drawn<Place>) {
  const { pixel } = useStage();
  const slide = useStageDrag((to, from) =>
    onMove?.({ ...place, x: place.x + to.x - from.x, y: place.y + to.y - from.y }),
  );
  const force = state.channel?.(instrument.channel);
  const division = instrument.division * (place.division ?? 1);
  const divisions = instrument.span / instrument.division;
  const step = TALL / divisions;
  const at =
    force && !Number.isNaN(force.si) ? Math.max(-1, Math.min(divisions + 1, force.si / instrument.si / division)) : 0;
  const keys = (e: React.KeyboardEvent) => {
    const by = arrowStep(e, 10 / pixel, 1 / pixel);
    if (!by) return;
    e.preventDefault();
    onMove?.({ ...place, x: place.x + by.x, y: place.y + by.y });
  };
  const y = step * at;
  let marks = '';
  const names: number[] = [];
  for (let i = 0; i <= divisions; i++) {
    marks += `M0 ${i * step}h${i % 10 === 0 ? 20 : i % 2 === 0 ? 12 : 7}`;
    if (i % 10 === 0) names.push(i);
  }
  const coils = 11;
  const pitch = (y + 26) / coils;
  let coil = 'M70 -40';
  for (let i = 0; i < coils; i++) coil += `l${i % 2 ? -8 : 8} ${pitch / 2}l${i % 2 ? 8 : -8} ${pitch / 2}`;
  return (
    <g data-instrument={laidAs} transform={`translate(${place.x} ${place.y}) scale(${1 / pixel})`}>
      <g
        tabIndex={onMove ? 0 : undefined}
        role="button"
        className="cursor-move"
        onKeyDown={keys}
        aria-label={
          `${name}, hooked in at: ${force ? inSentence(force.name) : 'nothing'}. Drag it; ` +
          `arrow keys move it, with Shift finely`
        }
        {...slide}
      >
        <path d={`M${WIDE / 2} -54v-14m-7 0a7 7 0 1 1 14 0`} fill="none" stroke="var(--copper)" strokeWidth={2} />
        <rect
          x={-4}
          y={-54}
          width={WIDE}
          height={TALL + 70}
          rx={9}
          fill="color-mix(in srgb, var(--sheet) 92%, transparent)"
          stroke="var(--copper)"
          strokeWidth={1.4}
        />
        <path d={coil} fill="none" stroke="var(--edge)" strokeWidth={1.4} strokeLinejoin="round" />
        <path d={`M70 ${y - 14}V${TALL + 34}m0 0a6 6 0 1 1 -6 6`} fill="none" stroke="var(--edge)" strokeWidth={2.2} />
        <path d={marks} stroke="var(--ink)" strokeWidth={1} />
        {names.map((i) => (
          <text key={i} x={23} y={i * step + 4} fontSize={11.5} className="mono select-none" fill="var(--ink)">
            {Number((i * division).toFixed(2))}
          </text>
        ))}
        <text x={5} y={-37} fontSize={12} fill="var(--ink)" className="select-none">
          {instrument.unit}
        </text>
        <path
          data-part="scale-pointer"
          data-at={y}
          d={`M0 ${y}H21M52 ${y}H66`}
          stroke="var(--copper)"
          strokeWidth={2}
        />
        <rect x={65} y={y - 5} width={10} height={10} rx={2} fill="var(--copper)" />
        {force && (
          <text
            x={WIDE / 2 - 4}
            y={TALL + 62}
            fontSize={12}
            textAnchor="middle"
            fill="var(--ink)"
            stroke="var(--stage)"
            strokeWidth={4}
            paintOrder="stroke"
            className="select-none"
          >
            {force.name}
          </text>
        )}
      </g>
    </g>
  );
}
