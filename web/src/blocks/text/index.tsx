import { memo } from 'react';
import type { BlockKind } from '../kind/kind';

/** Words of the lab, set by the server, which leaves no HTML in them but its own. */
const Words = memo(function Words({ html }: { html: string }) {
  return <div className="prose max-w-prose" dangerouslySetInnerHTML={{ __html: html }} />;
});

export const text: BlockKind<'text'> = { type: 'text', View: ({ block }) => <Words html={block.html} /> };
