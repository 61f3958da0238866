import type { BlockKind } from '../kind/kind';

export const films: BlockKind<'films'> = { type: 'films', atWork: () => 'Recordings' };
