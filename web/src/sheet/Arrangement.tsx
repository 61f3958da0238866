import { useEffect, useRef, type ReactNode } from 'react';
import { Group, Panel, Separator, type GroupImperativeHandle } from 'react-resizable-panels';
import { UPRIGHT } from '../picture/picture';
import { useSize } from '../ui/useSize';
import type { Stance } from './front';

/** How much of the right side the bench has, in per cent: beside the notebook, or above it. */
const SHARE = { beside: { bench: 64, notebook: 32 }, above: { bench: 66, notebook: 34 } };
/** With this many columns a table beside the bench needs more, even while measuring. */
const MANY_COLUMNS = 5;
const BESIDE_MANY = 56;
/** Where there is room for both, an upright picture stands beside the notebook. */
const ROOM_FOR_BOTH = 880;

/** About how much of the page's width the sheet beside them has. */
const SHEET = 0.25;

/**
 * Bench and notebook, both in view: an upright picture beside table and graph, a lying one above them. Whichever is
 * worked at has the room; the line between them can be moved all the same.
 */
export function Arrangement({
  aspect,
  stance,
  columns,
  bench,
  table,
  graph,
}: {
  /** Width over height of the picture on the bench. */
  aspect: number;
  stance: Stance;
  /** How many columns the table in front has. */
  columns: number;
  bench: ReactNode;
  table: ReactNode;
  /** None where the table in front has none. */
  graph: ReactNode;
}) {
  const box = useRef<HTMLDivElement>(null);
  // What is drawn first is drawn right, or all of it would be laid out twice.
  const { width } = useSize(box, window.innerWidth * (1 - SHEET));
  const beside = aspect <= UPRIGHT && width >= ROOM_FOR_BOTH;
  const crowded = beside && stance === 'bench' && columns >= MANY_COLUMNS;
  const share = crowded ? BESIDE_MANY : SHARE[beside ? 'beside' : 'above'][stance];
  const group = useRef<GroupImperativeHandle>(null);
  const laid = useRef(share);
  useEffect(() => {
    // As it is first drawn it has its share; to say so again would have all of it measured again.
    if (laid.current === share) return;
    laid.current = share;
    group.current?.setLayout({ bench: share, notebook: 100 - share });
  }, [share]);
  const across = (lying: boolean) =>
    lying ? 'h-1.5 cursor-row-resize bg-line hover:bg-copper' : 'w-1.5 cursor-col-resize bg-line hover:bg-copper';
  return (
    <div ref={box} className="h-full">
      <Group orientation={beside ? 'horizontal' : 'vertical'} className="h-full" groupRef={group}>
        <Panel id="bench" defaultSize={`${share}%`} minSize="20%">
          {bench}
        </Panel>
        <Separator aria-label="Divide bench and notebook" className={across(!beside)} />
        <Panel id="notebook" minSize="20%">
          <Group orientation={beside ? 'vertical' : 'horizontal'} className="h-full bg-paper">
            <Panel id="table" defaultSize="50%" minSize="25%">
              {table}
            </Panel>
            {graph && (
              <>
                <Separator aria-label="Divide table and graph" className={across(beside)} />
                <Panel id="graph" minSize="25%">
                  {graph}
                </Panel>
              </>
            )}
          </Group>
        </Panel>
      </Group>
    </div>
  );
}
