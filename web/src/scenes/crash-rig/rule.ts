/** From metres to places in the picture. */
export interface Ruled {
  /** Picture elements per metre. */
  k: number;
  /** Where a height above the ground is. */
  y: (height: number) => number;
}

export const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
