import { memo, useEffect, useRef } from 'react';
import type { BlockKind } from '../kind/kind';

const load = () => import('./formulas');
const hasFormula = (html: string) => html.includes('class="formula');

/** Words of the lab, set by the server, which leaves no HTML in them but its own; formulas are drawn here. */
const Words = memo(function Words({ html }: { html: string }) {
  const shown = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!hasFormula(html)) return;
    let gone = false;
    void load().then(({ draw }) => {
      if (!gone && shown.current) draw(shown.current);
    });
    return () => {
      gone = true;
    };
  }, [html]);
  return <div ref={shown} className="prose max-w-prose" dangerouslySetInnerHTML={{ __html: html }} />;
});

export const text: BlockKind<'text'> = {
  type: 'text',
  View: ({ block }) => <Words html={block.html} />,
  load,
  needs: (block) => hasFormula(block.html),
};
