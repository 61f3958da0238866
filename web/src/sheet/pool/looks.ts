import type { Schemas } from '../../api/client';

export type View = Schemas['PoolView'];
export type Series = Schemas['PoolSeries'];

/** How groups are told apart: by hue and by shape, so that one of them is enough. */
export interface Look {
  colour: string;
  shape: 'circle' | 'square' | 'triangle' | 'diamond' | 'cross';
}

const COLOURS = ['--indigo', '--copper', '--verdigris', '--plum', '--ochre'];
const SHAPES: Look['shape'][] = ['circle', 'square', 'triangle', 'diamond', 'cross'];

/** The look of each group that there is, in the order in which they come. */
export function looksOf(series: Series[]): Map<string, Look> {
  const groups = [...new Set(series.map((s) => s.group))].sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
  return new Map(
    groups.map((g, i) => [
      g,
      { colour: `var(${COLOURS[i % COLOURS.length]})`, shape: SHAPES[(i + Math.floor(i / 5)) % SHAPES.length] },
    ]),
  );
}

/** The outline of a mark about a place. */
export function mark({ shape }: Look, x: number, y: number, r: number): string {
  switch (shape) {
    case 'square':
      return `M${x - r} ${y - r}h${2 * r}v${2 * r}h${-2 * r}z`;
    case 'triangle':
      return `M${x} ${y - 1.2 * r}l${1.2 * r} ${2.1 * r}h${-2.4 * r}z`;
    case 'diamond':
      return `M${x} ${y - 1.3 * r}l${1.3 * r} ${1.3 * r}l${-1.3 * r} ${1.3 * r}l${-1.3 * r} ${-1.3 * r}z`;
    case 'cross':
      return `M${x - r} ${y - r}l${2 * r} ${2 * r}M${x + r} ${y - r}l${-2 * r} ${2 * r}`;
    default:
      return `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`;
  }
}

/** Tells one student's points in one group from all others. */
export const keyOf = (s: Series) => `${s.workId}/${s.group}`;
