import type { PropsOf } from '../../picture/picture';

export type Picture = PropsOf<'atom-workbench'>['picture'];
export const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
