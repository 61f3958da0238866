import { lazy, memo } from 'react';
import type { BlockKind } from '../kind/kind';

const load = () => import('./FormulaWords');
const FormulaWords = lazy(load);
const hasFormula = (html: string) => html.includes('class="formula');

/** Words of the lab, set by the server, which leaves no HTML in them but its own. */
const Words = memo(function Words({ html }: { html: string }) {
  return <div className="prose max-w-prose" dangerouslySetInnerHTML={{ __html: html }} />;
});

export const text: BlockKind<'text'> = {
  type: 'text',
  View: ({ block: { html } }) => (hasFormula(html) ? <FormulaWords html={html} /> : <Words html={html} />),
  load,
  needs: (block) => hasFormula(block.html),
};
