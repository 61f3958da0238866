import type { BlockKind } from '../kind/kind';

export const graph: BlockKind<'graph'> = {
  type: 'graph',
  atWork: (block) => (block.line ? 'Graph with a line of best fit' : 'Graph'),
};
