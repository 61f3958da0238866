import type { ReactNode } from 'react';

/** Names of what can come to the front, and at the right end what else can be done; nothing for neither. */
export function Tabs({
  label,
  items,
  current,
  onChoose,
  children,
}: {
  label: string;
  items: { id: string; name: string; inUse?: boolean }[];
  current: string;
  onChoose: (id: string) => void;
  children?: ReactNode;
}) {
  const more = Array.isArray(children) ? children.some(Boolean) : !!children;
  if (items.length === 0 && !more) return null;
  return (
    <div className="flex items-center border-b bg-stage px-2 pt-1">
      <div role="group" aria-label={label} className="flex min-w-0 gap-1">
        {items.map((i) => (
          <button
            key={i.id}
            type="button"
            aria-pressed={i.id === current}
            onClick={() => onChoose(i.id)}
            className={
              'truncate rounded-t-house border border-b-0 border-transparent px-3 py-0.5 ' +
              'text-fine hover:bg-line/50 aria-pressed:border-line aria-pressed:bg-sheet ' +
              'aria-pressed:font-semibold aria-pressed:text-copper'
            }
          >
            {i.name}
            {i.inUse && (
              <span className="ml-1 text-verdigris" title="The student is here now">
                ● <span className="sr-only">the student is here now</span>
              </span>
            )}
          </button>
        ))}
      </div>
      {more && <div className="mb-1 ml-auto flex shrink-0">{children}</div>}
    </div>
  );
}
