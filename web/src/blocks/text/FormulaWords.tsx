import { memo, useLayoutEffect, useRef } from 'react';
import { draw } from './formulas';

/** Words with formulas, which are drawn before they are seen. */
export default memo(function FormulaWords({ html }: { html: string }) {
  const shown = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => draw(shown.current!), [html]);
  return <div ref={shown} className="prose max-w-prose" dangerouslySetInnerHTML={{ __html: html }} />;
});
