import type { PropsOf } from '../../picture/picture';
import { Thing } from './Thing';

const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
const THINGS = [1, 2] as const;
const GATES = [1, 2] as const;
/** Courses of stone up the wall of the shaft. */
const COURSES = 24;

/** The clock-weight shaft in section: walls, floor, the edge things are let fall from, gates, and what falls. */
export function DropTowerScene({ picture }: PropsOf<'drop-tower'>) {
  const { height } = picture;
  const middle =
    picture.get('thing.1.x') + (picture.get('both') ? (picture.get('thing.2.x') - picture.get('thing.1.x')) / 2 : 0);
  const half = picture.get('wall');
  const [left, right] = [middle - half, middle + half];
  // The reach of a hand is as large as things are drawn, whatever the height of the shaft.
  const type = Math.max(15, 0.026 * height);
  const floor = picture.get('floor.y');
  const from = picture.get('from.y');
  const thick = 0.14 * half;
  return (
    <g>
      <rect x={left} y={-height} width={right - left} height={floor + height} fill="var(--sheet)" />
      <Wall x={left - thick} width={thick} floor={floor} height={height} />
      <Wall x={right} width={thick} floor={floor} height={height} />
      <rect x={left - thick} y={floor} width={right - left + 2 * thick} height={height} fill="var(--line)" />
      <path d={`M${left - thick} ${floor}H${right + thick}`} {...LINE} strokeWidth={2.4} />
      <path
        d={`M${left} ${from}H${right}`}
        {...LINE}
        stroke="var(--verdigris)"
        strokeWidth={1.4}
        strokeDasharray="7 4"
      />
      {picture.get('gated') === 1 &&
        GATES.map((i) => (
          <g key={i} data-gate={i}>
            <path
              d={`M${left} ${picture.get(`gate.${i}.y`)}H${right}`}
              {...LINE}
              stroke="var(--copper)"
              strokeWidth={1.6}
              strokeDasharray="2 3"
            />
            <rect
              x={left}
              y={picture.get(`gate.${i}.y`) - 0.35 * type}
              width={0.7 * type}
              height={0.7 * type}
              {...LINE}
              fill="var(--copper)"
              strokeWidth={1.2}
            />
            <text
              x={right - 0.3 * type}
              y={picture.get(`gate.${i}.y`) - 0.3 * type}
              fontSize={type}
              textAnchor="end"
              fill="var(--copper)"
            >
              gate {i}
            </text>
          </g>
        ))}
      {picture.get('pumped') === 1 && (
        <text x={middle} y={floor + 1.4 * type} fontSize={type} textAnchor="middle" fill="var(--ink)">
          pumped out
        </text>
      )}
      {THINGS.filter((i) => i === 1 || picture.get('both') === 1).map((i) => (
        <g
          key={i}
          transform={`translate(${picture.get(`thing.${i}.x`)} ${picture.get(`thing.${i}.y`)})`}
          data-falls={i}
        >
          <Thing
            which={picture.get(`thing.${i}.which`)}
            size={picture.get(`thing.${i}.size`)}
            open={picture.get('open') === 1}
          />
        </g>
      ))}
    </g>
  );
}

function Wall({ x, width, floor, height }: { x: number; width: number; floor: number; height: number }) {
  const course = height / COURSES;
  let joints = '';
  for (let i = 0; i <= COURSES; i++) {
    const y = floor - i * course;
    joints += `M${x} ${y}h${width}M${x + (i % 2 ? 0.35 : 0.7) * width} ${y}v${-course}`;
  }
  return (
    <g>
      <rect
        x={x}
        y={floor - height * 1.1}
        width={width}
        height={height * 1.1}
        {...LINE}
        fill="var(--line)"
        strokeWidth={1.6}
      />
      <path d={joints} {...LINE} stroke="var(--edge)" strokeWidth={0.8} />
    </g>
  );
}
