import { DndContext, PointerSensor, useDraggable, useDroppable, useSensor, useSensors } from '@dnd-kit/core';
import { clsx } from 'clsx';
import { ChevronDown, ChevronUp, CopyPlus, Eye, EyeOff, GripVertical, Plus, Trash2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { blockForms } from '../core/labForm';
import { IconButton } from '../ui';
import {
  blocksOf,
  at,
  copy,
  headingOf,
  hide,
  insert,
  move,
  moveTo,
  newBlock,
  newPart,
  partsOf,
  remove,
  type Spot,
  type Tree,
} from './tree';

const same = (a: Spot, b: Spot) => a.part === b.part && a.block === b.block;
const keyOf = ({ part, block }: Spot) => `${part}/${block ?? ''}`;
const spotAt = (key: string): Spot => {
  const [part, block] = key.split('/');
  return block === '' ? { part: Number(part) } : { part: Number(part), block: Number(block) };
};

/** A line that can be taken by its grip and let go on another; keys move it by the arrows below it. */
function Draggable({ spot, name, children }: { spot: Spot; name: string; children: ReactNode }) {
  const drag = useDraggable({ id: keyOf(spot) });
  const drop = useDroppable({ id: keyOf(spot) });
  return (
    <div
      ref={drop.setNodeRef}
      className={clsx(
        'flex items-start',
        drop.isOver && 'shadow-[0_-2px_0_var(--copper)]',
        drag.isDragging && 'opacity-40',
      )}
    >
      <span
        ref={drag.setNodeRef}
        {...drag.listeners}
        className="mt-1.5 shrink-0 cursor-grab touch-none text-soft"
        title={`Drag ${name}`}
        data-testid={`grip-${keyOf(spot)}`}
      >
        <GripVertical size={13} aria-hidden />
      </span>
      <div className="min-w-0 flex-1">{children}</div>
    </div>
  );
}

/** The sheet in short: the lab, its parts, their blocks; what is chosen is written beside it. */
export function Outline({
  sheet,
  chosen,
  faulty,
  onChoose,
  onChange,
}: {
  sheet: Tree;
  chosen: Spot;
  faulty: Spot[];
  onChoose: (spot: Spot) => void;
  onChange: (sheet: Tree, chosen: Spot) => void;
}) {
  const [dragged, setDragged] = useState<string | null>(null);
  // A press that doesn't move is a press on the line.
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const line = (spot: Spot, words: string, kind: string, className = '') => (
    <button
      type="button"
      aria-current={same(chosen, spot) || undefined}
      onClick={() => onChoose(spot)}
      className={
        `flex w-full items-baseline gap-2 rounded-house px-2 py-1 text-left ${className} ` +
        (same(chosen, spot) ? 'bg-stage outline-1 outline-copper' : 'hover:bg-line/40')
      }
    >
      <span className="min-w-0 flex-1 truncate">{words}</span>
      {faulty.some((f) => same(f, spot)) && (
        <span className="text-copper" title="Something is wrong here">
          !<span className="sr-only"> something is wrong here</span>
        </span>
      )}
      <span className="shrink-0 text-fine text-soft">{kind}</span>
    </button>
  );
  const tools = (spot: Spot, what: string) =>
    same(chosen, spot) && (
      <span className="flex justify-end gap-0.5 py-0.5">
        <IconButton
          label={`${what} up`}
          onClick={() => {
            const moved = move(sheet, spot, -1);
            onChange(moved.sheet, moved.spot);
          }}
        >
          <ChevronUp size={14} />
        </IconButton>
        <IconButton
          label={`${what} down`}
          onClick={() => {
            const moved = move(sheet, spot, 1);
            onChange(moved.sheet, moved.spot);
          }}
        >
          <ChevronDown size={14} />
        </IconButton>
        {spot.block !== undefined && (
          <IconButton
            label={at(sheet, spot).hidden === true ? 'Show the block to students' : 'Hide the block from students'}
            onClick={() => onChange(hide(sheet, spot), spot)}
          >
            {at(sheet, spot).hidden === true ? <Eye size={14} /> : <EyeOff size={14} />}
          </IconButton>
        )}
        <IconButton label={`Copy the ${what.toLowerCase()}`} onClick={() => onChange(copy(sheet, spot), spot)}>
          <CopyPlus size={14} />
        </IconButton>
        <IconButton
          label={`Take the ${what.toLowerCase()} away`}
          onClick={() => onChange(remove(sheet, spot), spot.block === undefined ? {} : { part: spot.part })}
        >
          <Trash2 size={14} />
        </IconButton>
      </span>
    );
  return (
    <DndContext
      sensors={sensors}
      onDragStart={(e) => setDragged(String(e.active.id))}
      onDragCancel={() => setDragged(null)}
      onDragEnd={(e) => {
        setDragged(null);
        if (!e.over || e.over.id === e.active.id) return;
        const [from, to] = [spotAt(String(e.active.id)), spotAt(String(e.over.id))];
        const moved = moveTo(sheet, from, to);
        onChange(moved.sheet, moved.spot);
      }}
    >
      <nav aria-label="The sheet" className={clsx('flex flex-col gap-3', dragged && 'cursor-grabbing')}>
        {line({}, 'The lab itself', 'title, summary', 'font-semibold')}
        <ol className="flex flex-col gap-3">
          {partsOf(sheet).map((part, p) => (
            <li key={p} className="border-t pt-2">
              <Draggable spot={{ part: p }} name={headingOf(part)}>
                {line({ part: p }, `${p + 1} ${headingOf(part)}`, partInWords(part), 'font-semibold')}
              </Draggable>
              {tools({ part: p }, 'Part')}
              <ol className="flex flex-col pl-3">
                {blocksOf(part).map((block, b) => (
                  <li key={b}>
                    <Draggable spot={{ part: p, block: b }} name={headingOf(block)}>
                      {line(
                        { part: p, block: b },
                        headingOf(block),
                        block.hidden === true ? 'hidden' : kindInWords(block.type),
                        block.hidden === true ? 'text-soft line-through' : '',
                      )}
                    </Draggable>
                    {tools({ part: p, block: b }, 'Block')}
                  </li>
                ))}
              </ol>
              <Palette
                onAdd={(type) => {
                  const form = blockForms.find((f) => f.type === type)!;
                  const spot = { part: p, block: blocksOf(part).length };
                  onChange(insert(sheet, spot, newBlock(sheet, form)), spot);
                }}
                part={p + 1}
              />
            </li>
          ))}
        </ol>
        <button
          type="button"
          className="flex items-center gap-1 self-start rounded-house px-2 py-1 font-semibold hover:bg-line/40"
          onClick={() => {
            const spot = { part: partsOf(sheet).length };
            onChange(insert(sheet, spot, newPart(sheet)), spot);
          }}
        >
          <Plus size={14} aria-hidden /> Add a part
        </button>
      </nav>
    </DndContext>
  );
}

/** A part's stage, and what all of it brings. */
function partInWords(part: Tree) {
  const points = blocksOf(part).reduce((sum, b) => sum + (Number(b.points) || 0), 0);
  return `${String(part.kind ?? '')}${points ? `, ${points} ${points === 1 ? 'point' : 'points'}` : ''}`;
}

function kindInWords(type: unknown) {
  return blockForms.find((f) => f.type === type)?.name.toLowerCase() ?? 'unknown';
}

/** What can be added, each with what it is for. */
function Palette({ part, onAdd }: { part: number; onAdd: (type: string) => void }) {
  return (
    <details className="pl-3 text-fine">
      <summary className="flex cursor-pointer items-center gap-1 rounded-house px-2 py-1 font-semibold hover:bg-line/40">
        <Plus size={13} aria-hidden /> Add a block<span className="sr-only"> to part {part}</span>
      </summary>
      <ul className="flex flex-col">
        {blockForms.map((f) => (
          <li key={f.type}>
            <button
              type="button"
              className="w-full rounded-house px-2 py-1 text-left hover:bg-line/40"
              onClick={(e) => {
                e.currentTarget.closest('details')!.open = false;
                onAdd(f.type);
              }}
            >
              <span className="font-semibold">{f.name}</span> <span className="text-soft">{f.about}</span>
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
