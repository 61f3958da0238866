import { useMemo, useState } from 'react';
import type { BlockOf, Sheet } from '../core';
import { GraphView } from '../graph/GraphView';
import { lookOf, type GraphChoice } from '../graph/model';
import type { Journal } from '../notebook/journal';
import { notesOf } from '../notebook/notes';
import { Dialog } from '../ui';
import { Tabs } from './BenchTabs';
import { expectedOf } from './expected';
import type { TableAtWork } from './useTable';

/** The graph in front of a table; enlarged, it fills the page. */
export function GraphPane({
  sheet,
  journal,
  at,
  graphs,
  block,
  readOnly,
  onGoTo,
  onFront,
}: {
  sheet: Sheet;
  journal: Journal;
  at: TableAtWork;
  /** All of this table. */
  graphs: BlockOf<'graph'>[];
  block: BlockOf<'graph'>;
  readOnly: boolean;
  onGoTo: (row: number) => void;
  onFront: (id: string) => void;
}) {
  const [large, setLarge] = useState(false);
  const all = journal.all();
  const expected = useMemo(() => expectedOf(sheet, all, at.block.id), [sheet, all, at.block.id]);
  const notes = notesOf(journal, block);
  const graph = {
    table: at.table,
    worked: at.worked,
    choice: lookOf(block, notes.read('view')),
    readOnly,
    expected,
    onChoice: (c: GraphChoice) => {
      if (!readOnly) notes.write('view', { ...c, v: 2 });
    },
  };
  return (
    <div className="flex h-full min-h-0 flex-col">
      <Tabs
        label="Graphs"
        items={graphs.length > 1 ? graphs.map((g, i) => ({ id: g.id, name: g.title || `Graph ${i + 1}` })) : []}
        current={block.id}
        onChoose={onFront}
      />
      <div className="min-h-0 flex-1">
        <GraphView key={block.id} {...graph} onGoTo={onGoTo} onEnlarge={() => setLarge(true)} />
      </div>
      {large && (
        <Dialog open onClose={() => setLarge(false)} title={at.block.title} full>
          <div className="min-h-0 flex-1">
            <GraphView {...graph} />
          </div>
        </Dialog>
      )}
    </div>
  );
}
