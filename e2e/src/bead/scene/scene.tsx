import type { SceneOf } from '../../picture/picture';

/** A wire bent to a parabola, and the bead on it. */
export default {
  Drawing({ picture }) {
    const x = picture.get('bead.x');
    const y = picture.get('bead.y');
    const m = picture.scale;
    const a = 4 * (picture.get('bend.height') / m);
    const middle = 0.6 * m;
    const floor = picture.height - 0.1 * m;
    const wire = Array.from({ length: 101 }, (_, i) => (i - 50) / 100)
      .map((at, i) => `${i ? 'L' : 'M'}${middle + at * m} ${floor - a * at * at * m}`)
      .join('');
    return (
      <g fill="none" stroke="var(--ink)" vectorEffect="non-scaling-stroke">
        <path data-part="wire" d={wire} strokeWidth={2} />
        <circle data-part="bead" cx={x} cy={y} r={0.015 * m} fill="var(--copper)" strokeWidth={1.5} />
      </g>
    );
  },
} satisfies SceneOf<'bead'>;
