import type { BlockKind } from '../kind/kind';

export const table: BlockKind<'table'> = { type: 'table', atWork: (block) => block.title };
