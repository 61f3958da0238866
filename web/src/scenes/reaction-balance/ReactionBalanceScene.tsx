import type { PropsOf } from '../../picture/picture';
import { Dish } from './Dish';

const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
const STEEL = { ...LINE, fill: 'var(--line)', strokeWidth: 1.6 };
const GASES = ['air', 'oxygen', 'carbon dioxide', 'argon'];
const [OPEN, SEALED] = [0, 1];
/** Metres: half the jar's width, the height of its mouth, the plate of the small balance. */
const JAR = 0.065;
const MOUTH = 0.17;
const PLATE = 0.03;

/** A jar on a balance; in it a dish on a small balance; over it a lid or a balloon. */
export function ReactionBalanceScene({ picture }: PropsOf<'reaction-balance'>) {
  const k = picture.scale;
  const x = picture.get('base.x');
  const y = picture.get('base.y');
  const at = (height: number) => y - height * k;
  const how = picture.get('how');
  const lid = picture.get('lid.y');
  return (
    <g>
      <Balance x={x} y={y} half={0.085} body={[0.125, 0.055]} k={k}>
        <Display
          x={x}
          y={y + 0.041 * k}
          size={0.03 * k}
          grams={picture.get('whole.grams')}
          hundredths={picture.get('whole.hundredths')}
          part="whole-display"
        />
      </Balance>
      <path
        d={
          `M${x - 0.045 * k} ${at(MOUTH)}q0 ${0.012 * k} ${-0.02 * k} ${0.016 * k}V${at(0.006)}` +
          (`q0 ${0.006 * k} ${0.006 * k} ${0.006 * k}H${x + (JAR - 0.006) * k}q${0.006 * k} ` +
            `0 ${0.006 * k} ${-0.006 * k}`) +
          `V${at(MOUTH) + 0.016 * k}q${-0.02 * k} ${-0.004 * k} ${-0.02 * k} ${-0.016 * k}`
        }
        {...LINE}
        fill="color-mix(in srgb, var(--indigo) 7%, var(--sheet))"
        strokeWidth={2}
        data-part="jar"
      />
      <Tap x={x + JAR * k} y={at(0.125)} k={k} gas={GASES[picture.get('which')]} />
      <Balance x={x} y={at(PLATE)} half={0.034} body={[0.052, 0.022]} k={k}>
        <Display
          x={x}
          y={at(PLATE) + 0.0165 * k}
          size={0.0145 * k}
          grams={picture.get('sample.grams')}
          hundredths={picture.get('sample.hundredths')}
          part="sample-display"
        />
      </Balance>
      <Dish
        x={x}
        y={at(PLATE)}
        k={k}
        what={picture.get('what')}
        together={picture.get('together') === 1}
        level={picture.get('level')}
        foam={picture.get('foam')}
        progress={picture.get('progress') / 100}
        lively={picture.get('lively') / 10}
        phase={picture.get('phase')}
      />
      {how === OPEN || how === SEALED ? (
        <g data-part={how === OPEN ? 'lid-off' : 'lid-on'}>
          <rect x={x - 0.052 * k} y={lid - 0.007 * k} width={0.104 * k} height={0.009 * k} rx={0.002 * k} {...STEEL} />
          <circle cx={x} cy={lid - 0.014 * k} r={0.007 * k} {...LINE} fill="var(--copper)" strokeWidth={1.4} />
        </g>
      ) : (
        <Balloon x={x} y={at(MOUTH)} k={k} r={picture.get('balloon.radius')} />
      )}
    </g>
  );
}

/** A balance with its plate at y; what it shows stands in its body. */
function Balance({
  x,
  y,
  half,
  body: [wide, tall],
  k,
  children,
}: {
  x: number;
  y: number;
  half: number;
  body: [number, number];
  k: number;
  children: React.ReactNode;
}) {
  const plate = 0.06 * tall * k + 0.002 * k;
  return (
    <g>
      <path
        d={
          `M${x - wide * 0.92 * k} ${y + plate}H${x + wide * 0.92 * k}` +
          `L${x + wide * k} ${y + tall * k}H${x - wide * k}Z`
        }
        {...STEEL}
      />
      <rect x={x - half * k} y={y} width={2 * half * k} height={plate} {...STEEL} fill="var(--edge)" />
      {children}
    </g>
  );
}

/** Digits of a display, to hundredths of a gram. */
function Display({
  x,
  y,
  size,
  grams,
  hundredths,
  part,
}: {
  x: number;
  y: number;
  size: number;
  grams: number;
  hundredths: number;
  part: string;
}) {
  return (
    <g>
      <rect
        x={x - 2.75 * size}
        y={y - 0.87 * size}
        width={5.5 * size}
        height={1.12 * size}
        rx={0.1 * size}
        {...LINE}
        fill="color-mix(in srgb, var(--verdigris) 22%, white)"
        strokeWidth={1.2}
      />
      <text x={x + 2.5 * size} y={y} fontSize={size} textAnchor="end" className="mono" fill="black" data-part={part}>
        {`${grams}.${String(hundredths).padStart(2, '0')} g`}
      </text>
    </g>
  );
}

function Tap({ x, y, k, gas }: { x: number; y: number; k: number; gas?: string }) {
  return (
    <g>
      <path d={`M${x} ${y}h${0.03 * k}`} {...LINE} strokeWidth={5} />
      <path
        d={`M${x + 0.018 * k} ${y - 0.012 * k}v${0.012 * k}m${-0.006 * k} ${-0.012 * k}h${0.012 * k}`}
        {...LINE}
        strokeWidth={3}
      />
      <path d={`M${x + 0.03 * k} ${y}l${0.006 * k} ${0.012 * k}`} {...LINE} strokeWidth={1} />
      <rect
        x={x + 0.008 * k}
        y={y + 0.012 * k}
        width={0.078 * k}
        height={0.021 * k}
        rx={0.003 * k}
        {...LINE}
        fill="var(--sheet)"
        strokeWidth={1.2}
      />
      <text
        x={x + 0.047 * k}
        y={y + 0.0265 * k}
        fontSize={0.0115 * k}
        textAnchor="middle"
        fill="var(--ink)"
        data-part="gas"
      >
        {gas}
      </text>
    </g>
  );
}

/** A balloon over the mouth: limp while it holds nothing. */
function Balloon({ x, y, k, r }: { x: number; y: number; k: number; r: number }) {
  const neck = 0.016 * k;
  const limp = r < 1.2 * neck;
  const skin = { ...LINE, fill: 'color-mix(in srgb, var(--copper) 30%, var(--stage))', strokeWidth: 1.6 };
  return (
    <g data-part="balloon">
      {limp ? (
        <ellipse cx={x + 0.009 * k} cy={y - neck - 0.008 * k} rx={0.021 * k} ry={0.011 * k} {...skin} />
      ) : (
        <path
          d={
            `M${x - 0.4 * neck} ${y - 0.8 * neck}L${x - 0.62 * r} ${y - 0.7 * neck - 0.4 * r}` +
            `A${r} ${r} 0 1 1 ${x + 0.62 * r} ${y - 0.7 * neck - 0.4 * r}` +
            `L${x + 0.4 * neck} ${y - 0.8 * neck}Z`
          }
          {...skin}
        />
      )}
      <path
        d={
          `M${x - 0.048 * k} ${y + 0.006 * k}V${y - 0.002 * k}` +
          `L${x - 0.4 * neck} ${y - neck}h${0.8 * neck}L${x + 0.048 * k} ${y - 0.002 * k}` +
          `V${y + 0.006 * k}Z`
        }
        {...skin}
      />
    </g>
  );
}
