import { useQuery } from '@tanstack/react-query';
import { Search } from 'lucide-react';
import { memo, useMemo, useRef, useState, type MouseEvent } from 'react';
import { api, ask } from '../api/client';
import { inputClass, Trouble } from '../ui';
import { found, passagesOf, snippet } from './passages';

/** The guides: the passage of this place, all others below it, and what a search finds. */
export function Guides({ at }: { at: string }) {
  const { data, error } = useQuery({
    queryKey: ['guides'],
    queryFn: () => ask(api.GET('/api/guides')),
    staleTime: Infinity,
  });
  const passages = useMemo(() => passagesOf(data ?? []), [data]);
  const [words, setWords] = useState('');
  const [key, setKey] = useState(at);
  const top = useRef<HTMLDivElement>(null);
  const matching = found(passages, words);
  const read = passages.find((p) => p.key === key) ?? passages[0];
  const go = (to: string) => {
    setKey(to);
    setWords('');
    top.current?.scrollTo({ top: 0 });
  };
  /** A guide that another names opens here, too. */
  const follow = (e: MouseEvent) => {
    const to = (e.target as Element).closest('a')?.getAttribute('href');
    const guide = to?.match(/^([a-z-]+)\.md/)?.[1];
    if (!guide) return;
    e.preventDefault();
    go(passages.find((p) => p.key.startsWith(`${guide}/`))?.key ?? key);
  };
  return (
    <>
      <label className="relative border-b px-4 py-2">
        <span className="sr-only">Search in the guides</span>
        <Search size={15} aria-hidden className="absolute top-4.5 left-6.5 text-soft" />
        <input
          className={`${inputClass} w-full pl-8`}
          placeholder="Search"
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
      </label>
      <div ref={top} className="min-h-0 flex-1 overflow-auto px-4 py-3" onClick={follow}>
        <Trouble error={error} />
        {words.trim() ? (
          <>
            <p role="status" className="mb-2 text-fine text-soft">
              {matching.length === 0
                ? 'Nothing in the guides has all of these words.'
                : `${matching.length} ${matching.length === 1 ? 'passage' : 'passages'}`}
            </p>
            <PassageList passages={matching} words={words} onGo={go} />
          </>
        ) : (
          <>
            {read && (
              <article>
                <p className="text-fine text-soft">{read.guide}</p>
                <h2 className="mb-2 text-lead font-bold">{read.title}</h2>
                <Words html={read.html} />
              </article>
            )}
            <nav aria-label="All passages" className="mt-6 border-t pt-3">
              <PassageList passages={passages} current={read?.key} onGo={go} />
            </nav>
          </>
        )}
      </div>
    </>
  );
}

function PassageList({
  passages,
  current,
  words,
  onGo,
}: {
  passages: ReturnType<typeof passagesOf>;
  current?: string;
  /** What was looked for: each passage shows where it speaks of it. */
  words?: string;
  onGo: (key: string) => void;
}) {
  return (
    <ul className="flex flex-col">
      {passages.map((p) => (
        <li key={p.key}>
          <button
            type="button"
            aria-current={p.key === current ? 'true' : undefined}
            onClick={() => onGo(p.key)}
            className={
              'flex w-full items-baseline justify-between gap-4 rounded-house px-2 py-1 ' +
              'text-left hover:bg-line/50 aria-current:font-semibold aria-current:text-copper'
            }
          >
            {p.title}
            <span className="text-fine font-normal text-soft">{p.guide}</span>
          </button>
          {words && <p className="px-2 pb-2 text-fine text-soft">{snippet(p, words)}</p>}
        </li>
      ))}
    </ul>
  );
}

const Words = memo(function Words({ html }: { html: string }) {
  return <div className="prose" dangerouslySetInnerHTML={{ __html: html }} />;
});
