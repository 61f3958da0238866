import { clsx } from 'clsx';
import { Pencil } from 'lucide-react';
import { Suspense, useEffect, useMemo, useRef, useState, type MouseEvent, type ReactNode } from 'react';
import { BlockView } from '../blocks/BlockView';
import { previewContext } from '../blocks/preview';
import type { SheetContext } from '../blocks/kind/kind';
import type { Block, Sheet } from '../core';
import { blockForms } from '../core/labForm';
import { Journal } from '../notebook/journal';
import { IconButton } from '../ui';
import { BlockForm } from './BlockForm';
import { MadeUp } from './MadeUp';
import { at, blocksOf, headingOf, idOf, labFields, partFields, partsOf, put, type Spot } from './tree';
import type { Draft } from './useDraft';

interface Props {
  labId: string;
  draft: Draft;
  chosen: Spot;
  onChoose: (spot: Spot) => void;
}

/**
 * The part that is being written, as students see it; what is chosen is opened where it stands, with its fields. What
 * students see is as it was when nothing was wrong last.
 */
export function InPlace({ labId, draft, chosen, onChoose }: Props) {
  const { sheet, kept } = draft;
  const journal = useMemo(() => new Journal(`writing-${labId}`, {}), [labId]);
  const [last, setLast] = useState(kept.shown);
  if (kept.shown && kept.shown !== last) setLast(kept.shown);
  const shown = last as unknown as Sheet | undefined;
  const context = previewContext(journal);
  const seenBlocks = new Map((shown?.parts ?? []).flatMap((p) => p.blocks).map((b) => [b.id, b]));
  const opened = { labId, draft, chosen, old: !kept.shown };
  if (chosen.part === undefined)
    return (
      <Opened key="lab" {...opened}>
        {shown && (
          <div>
            <p className="text-lead font-bold">{shown.title}</p>
            <p>{shown.summary}</p>
            <p className="text-fine text-soft">
              about {shown.minutes} minutes · {shown.parts.length} parts
            </p>
          </div>
        )}
      </Opened>
    );
  const { part: p } = chosen;
  const part = partsOf(sheet)[p];
  return (
    <div className="flex flex-col gap-3">
      {chosen.block === undefined ? (
        <Opened key={`part ${p}`} {...opened}>
          <p className="text-lead font-bold">{headingOf(part)}</p>
        </Opened>
      ) : (
        <AsSeen name={`the part ${headingOf(part)}`} onChoose={() => onChoose({ part: p })} bare>
          <h2 className="text-lead font-bold">
            <span className="mono text-soft">{p + 1}</span> {headingOf(part)}
          </h2>
        </AsSeen>
      )}
      {blocksOf(part).map((block, b) => {
        const seen = seenBlocks.get(idOf(block));
        const view = <View block={seen} hidden={block.hidden === true} context={context} />;
        return b === chosen.block ? (
          <Opened key={`${p}/${b}`} {...opened}>
            {view}
          </Opened>
        ) : (
          <AsSeen key={`${p}/${b}`} name={headingOf(block)} onChoose={() => onChoose({ part: p, block: b })}>
            {view}
          </AsSeen>
        );
      })}
      {blocksOf(part).length === 0 && (
        <p className="text-soft">This part is empty. Add a block to it on the left, below its title.</p>
      )}
    </div>
  );
}

function View({ block, hidden, context }: { block?: Block; hidden: boolean; context: SheetContext }) {
  if (hidden) return <p className="text-soft">Hidden from students.</p>;
  if (!block) return <p className="text-soft">Nothing to see yet: it is shown once nothing is wrong.</p>;
  return <BlockView block={block} context={context} />;
}

/** What can be pressed in what a student sees does there what it does. */
const ITS_OWN = 'button, a, input, textarea, select, summary, label, [tabindex]';

/** As a student sees it; a press opens it for writing. */
function AsSeen({
  name,
  onChoose,
  bare = false,
  children,
}: {
  name: string;
  onChoose: () => void;
  bare?: boolean;
  children: ReactNode;
}) {
  const press = (e: MouseEvent<HTMLElement>) => {
    const own = (e.target as Element).closest(ITS_OWN);
    if (!own || !e.currentTarget.contains(own)) onChoose();
  };
  return (
    // Keys have the pencil.
    <div
      onClick={press}
      className={clsx(
        'group flex cursor-pointer items-start gap-2 rounded-house border border-transparent hover:border-edge',
        bare ? 'px-1' : 'bg-sheet px-4 py-3',
      )}
    >
      <div className="min-w-0 flex-1">{children}</div>
      <span className="opacity-40 group-focus-within:opacity-100 group-hover:opacity-100">
        <IconButton label={`Write ${name}`} onClick={onChoose}>
          <Pencil size={14} />
        </IconButton>
      </span>
    </div>
  );
}

/** What is chosen: its fields, and beside them what a student sees of it. */
function Opened({
  labId,
  draft,
  chosen,
  old,
  children,
}: {
  labId: string;
  draft: Draft;
  chosen: Spot;
  /** Whether something is wrong now, so that what is shown is older. */
  old: boolean;
  children: ReactNode;
}) {
  const { sheet } = draft;
  const one = at(sheet, chosen);
  const form = chosen.block !== undefined ? blockForms.find((f) => f.type === one.type) : undefined;
  const schema = chosen.block !== undefined ? form?.schema : chosen.part !== undefined ? partFields : labFields;
  const card = useRef<HTMLElement>(null);
  useEffect(() => {
    // Braces: newer browsers answer a promise, which React would take for a cleaning up.
    card.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  return (
    <section
      ref={card}
      aria-label={headingIn(chosen, form?.name)}
      className="grid scroll-my-4 grid-cols-[minmax(0,1fr)_minmax(16rem,22rem)] rounded-house border border-l-3 border-l-copper bg-sheet"
    >
      <div className="min-w-0 px-5 py-4">
        <h2 className="text-lead font-bold">{headingIn(chosen, form?.name)}</h2>
        {form && <p className="max-w-prose text-soft">{form.about}</p>}
        {schema ? (
          <div className="max-w-2xl pt-3">
            <Suspense fallback={<p className="text-soft">Fetching what it may speak of …</p>}>
              <BlockForm
                schema={schema}
                sheet={sheet}
                one={one}
                onChange={(next) => draft.change(put(sheet, chosen, next))}
              />
            </Suspense>
            {(one.type === 'films' || one.type === 'number') && (
              <MadeUp
                key={idOf(one)}
                labId={labId}
                block={idOf(one)}
                what={one.type}
                shown={draft.kept.shown}
                settle={draft.settle}
              />
            )}
          </div>
        ) : (
          <p className="text-soft">Cauldron doesn’t know this kind of block. Take it away, or take the change back.</p>
        )}
      </div>
      <aside aria-label="As a student sees it" className="min-w-0 border-l px-4 py-4">
        <div className="sticky top-4 flex max-h-[calc(100vh-6rem)] flex-col gap-3 overflow-auto">
          <p className="text-fine text-soft">As a student sees it{old && ', as it was before something was wrong'}</p>
          {children}
        </div>
      </aside>
    </section>
  );
}

function headingIn(chosen: Spot, block?: string) {
  if (chosen.part === undefined) return 'The lab itself';
  return chosen.block === undefined ? 'Part' : (block ?? 'Block');
}
