import { LINE, type Picture } from './Cylinder';

export const THINGS = ['shackle', 'sinker', 'cork', 'glass', 'nut', 'seal'] as const;
const mix = (hue: string, part: number) => `color-mix(in srgb, var(${hue}) ${part}%, var(--stage))`;

/** Drawn in millimetres, standing on the middle of their foot, y downwards. */
const SHAPES = {
  shackle: (
    <>
      <path d="M-17 -6V-22A17 17 0 0 1 17 -22V-6H10V-22A10 10 0 0 0 -10 -22V-6Z" fill={mix('--soft', 45)} />
      <rect x={-17} y={-7} width={34} height={7} rx={1.5} fill={mix('--soft', 60)} />
    </>
  ),
  sinker: (
    <>
      <path d="M-2.5 -24C-3 -16 -7 -13 -7 -7A7 7 0 0 0 7 -7C7 -13 3 -16 2.5 -24Z" fill={mix('--ink', 45)} />
      <circle cx={0} cy={-25.4} r={2.6} fill="none" />
    </>
  ),
  cork: (
    <>
      <rect x={-9} y={-24} width={18} height={24} rx={1} fill={mix('--ochre', 35)} />
      <path d="M-5 -19h2M2 -15h3M-4 -9h3M3 -5h2M-1 -21h1" fill="none" />
    </>
  ),
  glass: <path d="M-10 0L-9 -8L-3 -14L5 -12.5L10 -5L7 0Z" fill={mix('--verdigris', 40)} strokeLinejoin="round" />,
  nut: (
    <>
      <path d="M-11 0V-10H11V0Z" fill={mix('--ochre', 70)} />
      <path d="M-5.5 0V-10M5.5 0V-10" fill="none" />
    </>
  ),
  seal: (
    <>
      <rect x={-11} y={-8} width={22} height={8} rx={2.5} fill={mix('--copper', 60)} />
      <path d="M-4 -8c2 2.5 6 2.5 8 0" fill="none" />
    </>
  ),
};

/** A thing where it is, as large as it is. */
export function Thing({ picture, id }: { picture: Picture; id: (typeof THINGS)[number] }) {
  const k = (picture.scale * picture.get(`size.${id}`)) / 1000;
  const at = `translate(${picture.get(`thing.${id}.x`)} ${picture.get(`thing.${id}.y`)}) scale(${k})`;
  return (
    <g
      transform={at}
      className="[&_*]:[vector-effect:non-scaling-stroke]"
      stroke={LINE.stroke}
      strokeWidth={1.2}
      data-lies={id}
    >
      {SHAPES[id]}
    </g>
  );
}
