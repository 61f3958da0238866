/** A formula from the core as MathML, which browsers set by themselves. What was typed is escaped there. */
export function MathText({ mathMl }: { mathMl: string }) {
  return <span className="text-ink" dangerouslySetInnerHTML={{ __html: mathMl }} />;
}
