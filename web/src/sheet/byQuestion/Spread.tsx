import type { Schemas } from '../../api/client';

const WIDE = 560;
const HIGH = 78;
const AT = 58;
const PAD = 60;
const DOT = 3.5;

/** Where the last answers lie around the truth, between half of it and one and a half times it; others at the edges. */
export function Spread({ went }: { went: Schemas['QuestionWent'] }) {
  const x = (off: number) => WIDE / 2 + Math.max(-0.5, Math.min(0.5, off)) * 2 * (WIDE / 2 - PAD);
  const inside = went.spread.filter((s) => Math.abs(s.off) <= 0.5);
  const below = went.spread.filter((s) => s.off < -0.5).length;
  const above = went.spread.filter((s) => s.off > 0.5).length;
  // Those that lie on each other stand one above the other.
  const heights = new Map<number, number>();
  const right = went.spread.filter((s) => s.right).length;
  return (
    <figure className="w-full">
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        className="h-20 w-full max-w-2xl"
        role="img"
        aria-label={
          `Last answers around the truth: ${right} of ${went.spread.length} right, ` +
          `${below} less than half of it, ${above} more than one and a half times it`
        }
      >
        {went.band != null && (
          <rect
            x={x(-went.band)}
            width={x(went.band) - x(-went.band)}
            y="4"
            height={AT - 4}
            className="fill-verdigris/20"
          />
        )}
        <path d={`M${PAD} ${AT}H${WIDE - PAD}M${WIDE / 2} 4V${AT}`} className="fill-none stroke-edge" />
        {inside.map((s, i) => {
          const place = Math.round(x(s.off) / (2 * DOT));
          const height = heights.get(place) ?? 0;
          heights.set(place, height + 1);
          return (
            <circle
              key={i}
              cx={x(s.off)}
              cy={AT - DOT - 1 - (height % 7) * 2 * DOT}
              r={DOT - 0.5}
              strokeWidth="1.5"
              className={s.right ? 'fill-verdigris stroke-verdigris' : 'fill-sheet stroke-copper'}
            />
          );
        })}
        {[-0.5, 0, 0.5].map((off) => (
          <text key={off} x={x(off)} y={HIGH - 5} textAnchor="middle" className="fill-soft text-[12px]">
            {off === 0 ? 'the truth' : off < 0 ? '−50 %' : '+50 %'}
          </text>
        ))}
        {below > 0 && (
          <text x="4" y={AT - 6} className="fill-copper text-[12px]">
            ← {below} less
          </text>
        )}
        {above > 0 && (
          <text x={WIDE - 4} y={AT - 6} textAnchor="end" className="fill-copper text-[12px]">
            {above} more →
          </text>
        )}
      </svg>
    </figure>
  );
}
