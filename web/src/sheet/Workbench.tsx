import { use, useMemo, useRef, useState, type ComponentProps } from 'react';
import { Group, Panel, Separator } from 'react-resizable-panels';
import type { Schemas } from '../api/client';
import { Worktable, uncertaintyOf, type Block, type BlockOf, type Sheet } from '../core';
import { once } from '../core/once';
import { EmptyBench } from '../films/FilmBench';
import { lying } from '../instruments/placing';
import { displayFor, displays, type InstrumentState } from '../instruments/useInstruments';
import { CellBar } from '../notebook/CellBar';
import { GraphView } from '../graph/GraphView';
import type { GraphChoice } from '../graph/model';
import type { Journal } from '../notebook/journal';
import { rowsChange, tableOf, type Cell, type Reading } from '../notebook/table';
import { tableOps } from '../notebook/tableOps';
import { TableView } from '../notebook/TableView';
import { useEdits } from '../notebook/useEdits';
import { Button, Dialog } from '../ui';
import { expectedOf } from './expected';
import { FilmDesk, type FilmPlace } from './FilmDesk';
import type { BenchNow } from './LabBench';
import { Tabs } from './BenchTabs';

interface Props {
  work: string;
  sheet: Sheet;
  /** The part that is being worked on: what it speaks of comes to the front. */
  part: number;
  journal: Journal;
  trials: Schemas['TrialView'][];
  readOnly: boolean;
  open: boolean;
}

// Recordings need no models; a live bench brings them.
const benchModule = once(() => import('./LabBench'));
export const loadLabBench = () => benchModule('');

function LiveBench(props: ComponentProps<typeof import('./LabBench').LabBench>) {
  const { LabBench } = use(loadLabBench());
  return <LabBench {...props} />;
}

const NO_COLUMNS: never[] = [];
const FRESH: GraphChoice = { origin: true };

type Kind = 'films' | 'bench' | 'table' | 'graph';

function blocksOf<K extends Kind>(sheet: Sheet, ...kinds: K[]): BlockOf<K>[] {
  return sheet.parts.flatMap((p) => p.blocks).filter((b): b is BlockOf<K> => (kinds as string[]).includes(b.type));
}

/** The chosen one of several blocks; a part that is opened brings its own to the front. */
function useFront<B extends Block>(blocks: B[], sheet: Sheet, part: number): [B | undefined, (id: string) => void] {
  const [chosen, setChosen] = useState<{ part: number; id: string } | null>(null);
  // Going back from a part, the last block at or before it is the one it builds on.
  let fitting = blocks[0];
  for (const b of blocks) if (sheet.parts.findIndex((p) => p.blocks.some((x) => x.id === b.id)) <= part) fitting = b;
  const own = blocks.find((b) => sheet.parts[part].blocks.some((x) => x.id === b.id));
  const front = (chosen?.part === part && blocks.find((b) => b.id === chosen.id)) || own || fitting;
  return [front, (id) => setChosen({ part, id })];
}

/** The right side of a lab: bench above, notebook below, all in view together. */
export function Workbench({ work, sheet, part, journal, trials, readOnly, open }: Props) {
  const [desk, chooseDesk] = useFront(blocksOf(sheet, 'films', 'bench'), sheet, part);
  const tables = blocksOf(sheet, 'table');
  const graphs = blocksOf(sheet, 'graph');
  const [tableBlock, chooseTable] = useFront(tables, sheet, part);
  const [graphBlock, chooseGraph] = useFront(
    graphs.filter((g) => g.table === tableBlock?.id),
    sheet,
    part,
  );
  const [places, setPlaces] = useState<Record<string, FilmPlace>>({});
  const [asked, setAsked] = useState<{
    key: string;
    text: string;
    desk: string;
    reading: Reading;
    before?: FilmPlace;
  } | null>(null);
  const [selected, setSelected] = useState<{ row: string; column: string } | null>(null);
  const [hint, setHint] = useState('');
  const instruments = useRef<InstrumentState | null>(null);
  const liveBench = useRef<BenchNow | null>(null);

  const worktable = useMemo(() => new Worktable(), [tableBlock?.id]);
  const slots = tableBlock && journal.all()[tableBlock.id];
  const table = useMemo(() => tableBlock && tableOf(journal, tableBlock), [slots, tableBlock?.id]);
  const worked = useMemo(() => worktable.update(table ?? { columns: [], rows: [] }), [table, worktable]);
  const results = worked.columns;
  const edits = useEdits(journal, tableBlock?.id ?? '', tableBlock?.columns ?? NO_COLUMNS);
  const [large, setLarge] = useState(false);
  const [goTo, setGoTo] = useState<{ row: number } | null>(null);
  const choice = (graphBlock && journal.read<GraphChoice>(graphBlock.id, 'view')) || FRESH;
  const place = (id: string): FilmPlace => places[id] ?? { trial: null, view: '', frame: 0, placing: {} };
  const unitOf = (column: string) => results.find((r) => r.id === column)?.unit ?? '';

  /** Where the bench stands now, as a value's origin. */
  const readingNow = (): Reading | undefined => {
    if (desk?.type === 'films') {
      const p = place(desk.id);
      const own = trials.filter((t) => t.block === desk.id);
      const trial = own.find((t) => t.id === p.trial) ?? own.at(-1);
      return (
        trial && {
          trial: trial.id,
          frame: p.frame,
          view: desk.views.includes(p.view) ? p.view : desk.views[0],
          instruments: p.placing,
        }
      );
    }
    return liveBench.current?.reading();
  };
  const write = (row: string, column: string, cell: Cell) => {
    const order = table!.rows.map((r) => r.id);
    const slot = `cell/${row}/${column}`;
    edits.apply(
      [...(order.includes(row) ? [] : [rowsChange(table!, [...order, row])]), { slot, value: { ...cell } }],
      slot,
    );
    setAsked(null);
    setHint('');
  };
  const type = (row: string, column: string, text: string) => {
    const measured = table!.columns.find((c) => c.id === column)!.kind === 'measured';
    // A value that is typed while a trial is on the bench remembers how it was read.
    write(
      row,
      column,
      measured && text.trim() !== '' ? tied({ text }, column, table!.cells[`${row}/${column}`]) : { text },
    );
  };
  const tied = (cell: Cell, column: string, before?: Cell): Cell => {
    const reading = readingNow();
    if (!reading) return cell;
    const uncertainty = before?.uncertainty ?? uncertaintyOf(lying(reading.instruments), unitOf(column))?.text;
    return { ...cell, reading, ...(uncertainty && { uncertainty }) };
  };
  const take = (row: string, column: string, instrument?: string) => {
    const state = instruments.current ?? liveBench.current?.state;
    if (!state) return;
    const found = displayFor(
      displays(state).filter((d) => !instrument || d.instrument.id === instrument),
      unitOf(column),
    );
    if (found) write(row, column, tied({ text: found.typed }, column));
    else
      setHint(
        `${unitOf(column) ? `Nothing on the bench shows a value in ${unitOf(column)}` : 'Nothing on the bench shows such a value'} now. Take an instrument with a display from the tray, or type what you read.`,
      );
  };
  const takeSelected = (instrument: string) => {
    if (selected) take(selected.row, selected.column, instrument);
  };
  const show = (key: string, reading: Reading) => {
    const films = trials.find((t) => t.id === reading.trial)?.block;
    const id = films ?? blocksOf(sheet, 'bench').find((b) => journal.all()[b.id]?.[`trial/${reading.trial}`])?.id;
    if (!id) return;
    chooseDesk(id);
    setAsked({
      key,
      text: table!.cells[key].text,
      desk: id,
      reading,
      before: asked?.before ?? (films ? place(films) : undefined),
    });
    if (films)
      setPlaces({
        ...places,
        [films]: { trial: reading.trial, view: reading.view ?? '', frame: reading.frame, placing: reading.instruments },
      });
  };
  const back = () => {
    const before = asked?.before;
    if (before) setPlaces((all) => ({ ...all, [asked.desk]: before }));
    setAsked(null);
  };

  const expected = useMemo(() => expectedOf(sheet, journal, tableBlock?.id), [journal.all(), tableBlock?.id]);

  const note = asked && (
    <div
      className="flex items-center gap-3 rounded-house border border-copper bg-sheet px-3 py-1.5 text-fine"
      role="status"
    >
      This is how <b className="mono">{asked.text}</b> was read.
      <Button small onClick={back}>
        Back
      </Button>
    </div>
  );
  // The picture isn't drawn anew with every key that is typed beside it.
  const latest = useRef({ take: takeSelected });
  latest.current = { take: takeSelected };
  const filmDesk = useMemo(
    () =>
      desk?.type === 'films' && (
        <FilmDesk
          key={desk.id}
          block={desk}
          work={work}
          journal={journal}
          trials={trials.filter((t) => t.block === desk.id)}
          readOnly={readOnly}
          place={place(desk.id)}
          onPlace={(p) => {
            if (p.trial !== place(desk.id).trial) setAsked(null);
            setPlaces((all) => ({ ...all, [desk.id]: p }));
          }}
          note={note}
          onState={(s) => {
            instruments.current = s;
            liveBench.current = null;
          }}
          onTake={(i) => latest.current.take(i)}
        />
      ),
    [desk, work, journal, desk && journal.all()[desk.id], trials, readOnly, desk && places[desk.id], asked],
  );

  if (!open) return <EmptyBench>The bench opens when you have sealed your prediction.</EmptyBench>;
  const desks = blocksOf(sheet, 'films', 'bench');
  const column = selected && table?.columns.find((c) => c.id === selected.column);
  const cell = selected && table?.cells[`${selected.row}/${selected.column}`];
  // The row that waits for its first character stands below all others.
  const rowAt = table && selected ? table.rows.findIndex((r) => r.id === selected.row) : -1;
  const now = instruments.current ?? liveBench.current?.state;
  return (
    <Group orientation="vertical" className="h-full">
      <Panel defaultSize="60%" minSize="25%">
        <div className="flex h-full flex-col">
          {desks.length > 1 && (
            <Tabs
              label="Benches"
              items={desks.map((d, i) => ({ id: d.id, name: `Bench ${i + 1}` }))}
              current={desk!.id}
              onChoose={(id) => {
                setAsked(null);
                chooseDesk(id);
              }}
            />
          )}
          <div className="min-h-0 flex-1">
            {filmDesk}
            {desk?.type === 'bench' && (
              <LiveBench
                key={desk.id}
                block={desk}
                journal={journal}
                readOnly={readOnly}
                show={asked?.desk === desk.id ? asked.reading : null}
                note={note}
                onNow={(n) => {
                  liveBench.current = n;
                  instruments.current = null;
                }}
                onTake={takeSelected}
              />
            )}
          </div>
        </div>
      </Panel>
      {large && table && graphBlock && (
        <Dialog open onClose={() => setLarge(false)} title={tableBlock!.title} full>
          <div className="min-h-0 flex-1">
            <GraphView
              table={table}
              worked={worked}
              choice={choice}
              readOnly={readOnly}
              expected={expected}
              onChoice={(c) => {
                if (!readOnly) journal.write(graphBlock.id, 'view', { ...c });
              }}
            />
          </div>
        </Dialog>
      )}
      <Separator aria-label="Divide bench and notebook" className="h-1.5 cursor-row-resize bg-line hover:bg-copper" />
      <Panel minSize="20%">
        <Group orientation="horizontal" className="h-full bg-paper">
          <Panel defaultSize="50%" minSize="25%">
            {table && (
              <div className="flex h-full min-h-0 flex-col">
                {tables.length > 1 && (
                  <Tabs
                    label="Tables"
                    items={tables.map((t) => ({ id: t.id, name: t.title }))}
                    current={tableBlock!.id}
                    onChoose={(id) => {
                      setSelected(null);
                      chooseTable(id);
                    }}
                  />
                )}
                <TableView
                  key={tableBlock!.id}
                  title={tableBlock!.title}
                  table={table}
                  worked={worked}
                  readOnly={readOnly}
                  shown={asked?.key ?? null}
                  onCell={type}
                  onShow={show}
                  ops={tableOps(table, edits)}
                  history={edits}
                  goTo={goTo}
                  selected={selected}
                  onSelect={(c) => {
                    setHint('');
                    setSelected(c);
                  }}
                  onTake={(row, col) => take(row, col)}
                >
                  <p role="status" className="px-3 text-fine text-copper">
                    {hint}
                  </p>
                  {column && (
                    <CellBar
                      column={column}
                      unit={unitOf(column.id)}
                      row={1 + (rowAt < 0 ? table.rows.length : rowAt)}
                      cell={cell ?? { text: '' }}
                      readOnly={readOnly}
                      hidden={!!table.uncertaintiesHidden}
                      canRecord={!!desk}
                      offer={now && displayFor(displays(now), unitOf(column.id))?.display.instrument.name}
                      onRecord={() => write(selected!.row, column.id, tied(cell!, column.id, cell ?? undefined))}
                      onUncertainty={(u) => write(selected!.row, column.id, { ...cell!, uncertainty: u })}
                      onTake={() => take(selected!.row, column.id)}
                    />
                  )}
                </TableView>
              </div>
            )}
          </Panel>
          <Separator aria-label="Divide table and graph" className="w-1.5 cursor-col-resize bg-line hover:bg-copper" />
          <Panel minSize="25%">
            {table && graphBlock && (
              <div className="flex h-full min-h-0 flex-col">
                {graphs.filter((g) => g.table === tableBlock!.id).length > 1 && (
                  <Tabs
                    label="Graphs"
                    items={graphs
                      .filter((g) => g.table === tableBlock!.id)
                      .map((g, i) => ({ id: g.id, name: `Graph ${i + 1}` }))}
                    current={graphBlock.id}
                    onChoose={chooseGraph}
                  />
                )}
                <div className="min-h-0 flex-1">
                  <GraphView
                    key={graphBlock.id}
                    table={table}
                    worked={worked}
                    choice={choice}
                    readOnly={readOnly}
                    expected={expected}
                    onGoTo={(row) => setGoTo({ row })}
                    onEnlarge={() => setLarge(true)}
                    onChoice={(c) => {
                      if (!readOnly) journal.write(graphBlock.id, 'view', { ...c });
                    }}
                  />
                </div>
              </div>
            )}
          </Panel>
        </Group>
      </Panel>
    </Group>
  );
}
