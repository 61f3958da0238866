import type { BlockKind } from '../kind/kind';

export const bench: BlockKind<'bench'> = { type: 'bench', atWork: () => 'The bench' };
