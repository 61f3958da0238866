import { useRef } from 'react';
import type { Schemas } from '../../api/client';
import { useSize } from '../../ui/useSize';
import { keyOf, mark, type Look, type View } from './looks';

type Constant = Schemas['PoolConstant'];

interface Props {
  pool: View;
  which: number;
  looks: Map<string, Look>;
  chosen: string | null;
  onChoose: (key: string | null) => void;
}

const DOT = 5;

/** One fitted constant over the class: a dot for each student, nearly equal ones above each other. */
export function Constants({ pool, which, looks, chosen, onChoose }: Props) {
  const constant = pool.constants[which];
  const all = pool.series.filter((s) => s.constants.length > 0);
  return (
    <div className="flex flex-col gap-2">
      <Dots {...{ constant, which, looks, chosen, onChoose }} series={all} />
      <table className="w-full text-left text-fine">
        <thead className="text-soft">
          <tr className="border-b">
            <th className="py-1 font-normal">{constant.spreads.length > 1 ? 'Group' : ''}</th>
            <th className="py-1 pl-3 text-right font-normal">n</th>
            <th className="py-1 pl-3 font-normal">median</th>
            <th className="py-1 pl-3 font-normal">mean</th>
            <th className="py-1 pl-3 font-normal">spread of one</th>
          </tr>
        </thead>
        <tbody>
          {constant.spreads.map((s) => (
            <tr key={s.group} className="border-b align-top">
              <td className="py-1">
                {s.group ? (
                  <span className="inline-flex items-center gap-1.5">
                    <Key look={looks.get(s.group)!} /> {s.group}
                  </span>
                ) : (
                  'all'
                )}
              </td>
              <td className="mono py-1 pl-3 text-right">{s.count}</td>
              <td className="mono py-1 pl-3">{s.middle}</td>
              <td className="mono py-1 pl-3">{s.text}</td>
              <td className="mono py-1 pl-3">{s.sd}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The sign of a group as it is drawn. */
export function Key({ look }: { look: Look }) {
  return (
    <svg width="14" height="14" aria-hidden>
      <path d={mark(look, 7, 7, 4.5)} fill={look.shape === 'cross' ? 'none' : look.colour} stroke={look.colour} />
    </svg>
  );
}

function Dots({
  constant,
  which,
  series,
  looks,
  chosen,
  onChoose,
}: Omit<Props, 'pool'> & { constant: Constant; series: View['series'] }) {
  const box = useRef<HTMLDivElement>(null);
  const { width, type } = useSize(box);
  const bins = series.map((s) => Math.floor((s.constants[which] - constant.start) / constant.width));
  const last = Math.max(0, ...bins);
  const wide = last + 1;
  const heights = new Map<number, number>();
  const stacked = series.map((s, i) => {
    const level = heights.get(bins[i]) ?? 0;
    heights.set(bins[i], level + 1);
    return { s, bin: bins[i], level };
  });
  const most = Math.max(1, ...heights.values());
  const step = Math.min(2 * DOT + 3, 150 / most);
  const pad = 2 * type;
  const x = (value: number) => pad + ((value - constant.start) / (wide * constant.width)) * (width - 2 * pad);
  const base = most * step + 10;
  const ends = [constant.start, constant.start + (wide * constant.width) / 2, constant.start + wide * constant.width];
  const digits = Math.max(0, Math.min(8, 1 - Math.floor(Math.log10(constant.width))));
  return (
    <div ref={box}>
      <svg
        width={width}
        height={base + 2.4 * type}
        role="img"
        aria-label={`${constant.meaning || constant.name} of ${series.length} fits, from ${ends[0].toFixed(digits)} to ${ends[2].toFixed(digits)} ${constant.unit}`}
      >
        <line x1={pad} x2={width - pad} y1={base} y2={base} stroke="var(--edge)" />
        {constant.spreads[0].median != null && (
          <line
            x1={x(constant.spreads[0].median)}
            x2={x(constant.spreads[0].median)}
            y1={4}
            y2={base}
            stroke="var(--ink)"
            strokeDasharray="2 3"
          />
        )}
        {ends.map((at, i) => (
          <text
            key={at}
            x={x(at)}
            y={base + 1.3 * type}
            fontSize={type}
            className="mono"
            fill="var(--soft)"
            textAnchor={i === 0 ? 'start' : i === 2 ? 'end' : 'middle'}
          >
            {at.toFixed(digits).replace('-', '−')}
          </text>
        ))}
        {stacked.map(({ s, bin, level }) => {
          const look = looks.get(s.group)!;
          const on = chosen === keyOf(s);
          const cx = x(constant.start + (bin + 0.5) * constant.width);
          return (
            <path
              key={keyOf(s)}
              d={mark(look, cx, base - DOT - 2 - level * step, on ? DOT + 1.5 : DOT)}
              fill={look.shape === 'cross' ? 'none' : look.colour}
              stroke={on ? 'var(--ink)' : look.colour}
              strokeWidth={on ? 2 : 1}
              opacity={chosen && !on ? 0.35 : 0.9}
              className="cursor-pointer"
              onClick={() => onChoose(on ? null : keyOf(s))}
            />
          );
        })}
      </svg>
    </div>
  );
}
