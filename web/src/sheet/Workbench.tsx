import { use, useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import type { Schemas } from '../api/client';
import { manifestOf, type BlockOf, type Sheet } from '../core';
import type { FilmPlace } from '../films/film';
import type { Judged } from '../marking';
import type { Journal } from '../notebook/journal';
import type { Reading } from '../notebook/table';
import { EmptyBench } from '../picture/EmptyBench';
import { Button } from '../ui';
import { Arrangement } from './Arrangement';
import { DeskPane, LiveBench } from './DeskPane';
import { FilmDesk } from './FilmDesk';
import { blocksOf, stanceOf, tableWanted, unsealedBefore, useFront, type Stance } from './front';
import { GraphPane } from './GraphPane';
import { namedFilms, type NamedFilm } from './named';
import type { TablesInFront } from './layRows';
import type { Looking } from './looking';
import type { Standing } from './standing';
import { TablePane, type SelectedCell } from './TablePane';
import { useEntry } from './useEntry';
import { useTable } from './useTable';

interface Props {
  work: string;
  sheet: Sheet;
  /** The part that is being worked on: what it speaks of comes to the front. */
  part: number;
  journal: Journal;
  trials: Schemas['TrialView'][];
  readOnly: boolean;
  open: boolean;
  standing: Standing;
  looking: Looking;
  /** For whoever marks: the table is held against what the apparatus showed, as it stands or as it was handed in. */
  judged?: Omit<Judged, 'work'>;
}

/** A cell whose reading is shown on the bench, and where its bench stood before. */
interface Asked {
  key: string;
  text: string;
  desk: string;
  reading: Reading;
  before?: FilmPlace;
}

const NOWHERE: FilmPlace = { trial: null, view: '', frame: 0, placing: {} };

/** The right side of a lab, or what has to be done before it opens. */
export function Workbench(props: Props) {
  if (!props.open) return <EmptyBench>The bench opens when you have sealed your prediction.</EmptyBench>;
  return <Open {...props} />;
}

/** Bench, table and graph, all in view together. */
function Open({ work, sheet, part, journal, trials, readOnly, standing, looking, judged }: Props) {
  const desks = blocksOf(sheet, 'films', 'bench');
  const [desk, chooseDesk] = useFront(desks, sheet, part);
  const tables = blocksOf(sheet, 'table');
  // A part that draws a table made before, or asks about it, has that one in front.
  const [tableBlock, chooseTable] = useFront(tables, sheet, part, tableWanted(sheet, part));
  const graphs = blocksOf(sheet, 'graph').filter((g) => g.table === tableBlock?.id);
  const [graphBlock, chooseGraph] = useFront(graphs, sheet, part);
  const [places, setPlaces] = useState<Record<string, FilmPlace>>({});
  const [askedLast, setAsked] = useState<Asked | null>(null);
  const [selected, setSelected] = useState<SelectedCell | null>(null);
  const [goTo, setGoTo] = useState<{ row: number } | null>(null);
  const [byHand, setByHand] = useState<{ part: number; stance: Stance } | null>(null);
  const inUse = useSyncExternalStore(looking.subscribe, looking.block);
  const at = useTable(journal, tableBlock);
  const entry = useEntry(at, standing, namedFilms(desks, trials), () => setAsked(null));

  // Another recording is not the one the reading was made on.
  const elsewhere = askedLast?.before && places[askedLast.desk]?.trial !== askedLast.reading.trial;
  const asked = elsewhere ? null : askedLast;
  const own = stanceOf(sheet, part);
  const stance = byHand?.part === part ? byHand.stance : own;
  const m = desk && use(manifestOf(desk.apparatus));
  const view = m?.views.find((v) => desk?.type === 'films' && v.id === desk.views[0]) ?? m?.views[0];
  const all = journal.all();
  const show = (key: string, reading: Reading) => {
    const films = trials.find((t) => t.id === reading.trial)?.block;
    const id = films ?? desks.find((b) => b.type === 'bench' && all[b.id]?.[`trial/${reading.trial}`])?.id;
    if (!id) return;
    chooseDesk(id);
    setAsked({
      key,
      text: at!.table.cells[key].text,
      desk: id,
      reading,
      before: asked?.before ?? (films ? (places[films] ?? NOWHERE) : undefined),
    });
    if (films)
      setPlaces({
        ...places,
        [films]: { trial: reading.trial, view: reading.view ?? '', frame: reading.frame, placing: reading.instruments },
      });
  };
  const bring = ({ id, block }: NamedFilm) => {
    chooseDesk(block);
    setAsked(null);
    setPlaces({ ...places, [block]: { ...(places[block] ?? NOWHERE), trial: id, frame: 0 } });
    entry.forget();
  };
  const back = useCallback(() => {
    if (asked?.before) setPlaces((now) => ({ ...now, [asked.desk]: asked.before! }));
    setAsked(null);
  }, [asked]);
  const place = useCallback((id: string, p: FilmPlace) => setPlaces((now) => ({ ...now, [id]: p })), []);
  // The picture isn't drawn anew with every key that is typed beside it, so what it calls stays the same.
  const latest = useRef<(instrument: string) => void>(() => undefined);
  useEffect(() => {
    latest.current = (instrument) => {
      if (selected) entry.take(selected.row, selected.column, instrument);
    };
  });
  const take = useCallback((instrument: string) => latest.current(instrument), []);
  const tablesNow = useRef<TablesInFront | null>(null);
  const inFront = useCallback(() => tablesNow.current, []);
  useEffect(() => {
    tablesNow.current = at && { at, tables, bringToFront: chooseTable };
  });
  const onDesk = useMemo(() => trials.filter((t) => t.block === desk?.id), [trials, desk?.id]);
  const note = useMemo(() => asked && <HowRead text={asked.text} onBack={back} />, [asked, back]);

  const common = {
    journal,
    slots: desk && all[desk.id],
    readOnly,
    aside: stance === 'notebook',
    note,
    standing,
    onTake: take,
  };
  return (
    <Arrangement
      aspect={view?.aspect ?? 1}
      stance={stance}
      columns={at?.table.columns.length ?? 0}
      bench={
        !desk ? (
          <EmptyBench>This lab has no bench.</EmptyBench>
        ) : (
          <DeskPane
            desks={desks}
            front={desk}
            inUse={inUse}
            onFront={(id) => {
              setAsked(null);
              chooseDesk(id);
            }}
            aside={stance === 'notebook'}
            fetched={own === 'notebook' && stance === 'bench'}
            onStance={(to) => setByHand({ part, stance: to })}
          >
            {isShut(sheet, desk, journal, readOnly) ? (
              <EmptyBench>This bench opens when you have sealed your predictions beside it.</EmptyBench>
            ) : desk.type === 'films' ? (
              <FilmDesk
                key={desk.id}
                block={desk}
                work={work}
                trials={onDesk}
                place={places[desk.id] ?? NOWHERE}
                onPlace={place}
                {...common}
              />
            ) : (
              <LiveBench
                key={desk.id}
                block={desk}
                show={asked?.desk === desk.id ? asked.reading : null}
                tablesInFront={inFront}
                looking={looking}
                {...common}
              />
            )}
          </DeskPane>
        )
      }
      table={
        at && (
          <TablePane
            tables={tables}
            at={at}
            entry={entry}
            standing={standing}
            judged={judged && { ...judged, work }}
            narrow={stance !== 'notebook'}
            readOnly={readOnly}
            shown={asked?.key ?? null}
            goTo={goTo}
            selected={selected}
            onSelect={setSelected}
            onShow={show}
            onBring={bring}
            onFront={(id) => {
              setSelected(null);
              chooseTable(id);
            }}
          />
        )
      }
      graph={
        at &&
        graphBlock && (
          <GraphPane
            sheet={sheet}
            journal={journal}
            at={at}
            graphs={graphs}
            block={graphBlock}
            readOnly={readOnly}
            onGoTo={(row) => setGoTo({ row })}
            onFront={chooseGraph}
          />
        )
      }
    />
  );
}

/** Whether a bench still waits for predictions that stand in its own part. */
function isShut(sheet: Sheet, desk: BlockOf<'films' | 'bench'>, journal: Journal, readOnly: boolean) {
  const sealed = (id: string) => (journal.read(id, 'seal') as { sealed?: boolean } | undefined)?.sealed === true;
  return !readOnly && unsealedBefore(sheet, desk, sealed) !== undefined;
}

/** Said over the picture while it stands as it did when a value was read. */
function HowRead({ text, onBack }: { text: string; onBack: () => void }) {
  return (
    <div
      className="flex items-center gap-3 rounded-house border border-copper bg-sheet px-3 py-1.5 text-fine"
      role="status"
    >
      <span>
        This is how <b className="mono">{text}</b> was read.
      </span>
      <Button small onClick={onBack}>
        Back
      </Button>
    </div>
  );
}
