import type { BlockKind, ViewProps } from '../kind/kind';

function Terms({ block }: ViewProps<'vocabulary'>) {
  return (
    <dl className="rounded-house border">
      {block.terms.map((t) => (
        <div key={t.term} className="px-3 py-2 not-last:border-b">
          <dt className="font-semibold">{t.term}</dt>
          <dd className="text-soft">{t.meaning}</dd>
        </div>
      ))}
    </dl>
  );
}

export const vocabulary: BlockKind<'vocabulary'> = { type: 'vocabulary', View: Terms };
