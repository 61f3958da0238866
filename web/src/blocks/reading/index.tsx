import { BookOpen } from 'lucide-react';
import type { BlockKind, ViewProps } from '../kind/kind';

function Reading({ block }: ViewProps<'reading'>) {
  return (
    <section>
      <h3 className="flex items-center gap-2 pb-1 font-bold">
        <BookOpen size={15} aria-hidden />
        Further reading
      </h3>
      <ul className="flex flex-col gap-1.5">
        {block.sources.map((s) => (
          <li key={s.title}>
            {s.address.startsWith('https://') ? (
              <a href={s.address} target="_blank" rel="noopener noreferrer" className="underline underline-offset-4">
                {s.title}
              </a>
            ) : (
              <b>{s.title}</b>
            )}
            {s.about && <span className="text-soft"> {s.about}</span>}
          </li>
        ))}
      </ul>
    </section>
  );
}

export const reading: BlockKind<'reading'> = { type: 'reading', View: Reading };
