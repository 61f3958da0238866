import { History, PenLine, Rows3 } from 'lucide-react';
import { memo, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { BenchStage, PictureNote } from '../bench/BenchStage';
import { DrawTools, type Tool } from '../bench/DrawOver';
import { Bars } from '../bench/Bars';
import { CameTo } from '../bench/CameTo';
import { ChannelGraph } from '../bench/ChannelGraph';
import { forceLayers } from '../bench/ForceArrows';
import { HistogramPanel } from '../bench/HistogramPanel';
import type { Laid, MakeTable } from '../bench/IntoNotebook';
import { ProfileGraph } from '../bench/ProfileGraph';
import { RunTablePanel } from '../bench/RunTablePanel';
import { populationNames } from '../bench/words';
import { Readouts } from '../bench/Readouts';
import { ShowMenu } from '../bench/ShowMenu';
import type { KeptTrial, TrialShelf } from '../bench/trials';
import { TrialsPanel } from '../bench/TrialsPanel';
import { useBench } from '../bench/useBench';
import { type BlockOf, type Drawing, type Manifest, type Run } from '../core';
import { replay } from '../core/models';
import { InstrumentLayer } from '../instruments/InstrumentLayer';
import { InstrumentStrip } from '../instruments/InstrumentStrip';
import { snapPoints } from '../instruments/kind/snap';
import { Tray } from '../instruments/Tray';
import { useInstruments } from '../instruments/useInstruments';
import type { Journal, Slots } from '../notebook/journal';
import type { Reading } from '../notebook/table';
import { UPRIGHT } from '../picture/picture';
import { useApparatus } from '../scenes/useApparatus';
import { Button, Trouble } from '../ui';
import { layRows, type TablesInFront } from './layRows';
import type { Looking } from './looking';
import { Hands, LookAgain, useLookingOn, useTelling } from './lookOn';
import { OpenSettings, StillWanted } from './OpenSettings';
import { useLeaving, type Standing } from './standing';

/** What stands beside the picture; below it where there is no room, with more than half left for the picture. */
const SIDE =
  'max-h-[45%] shrink-0 overflow-auto border-t bg-sheet px-3 py-1.5 @xl:max-h-none @xl:border-t-0 @xl:border-l';

/** Below the picture what fits stands abreast, so that the second isn't below the fold. */
const ABREAST = 'grid grid-cols-[repeat(auto-fit,minmax(min(100%,13rem),1fr))] content-start gap-2';

/** Trials of a lab's bench, kept in the notebook like everything a student makes. */
function useJournalShelf(
  journal: Journal,
  block: string,
  slots: Slots[string] | undefined,
  readOnly: boolean,
): TrialShelf {
  const trials = useMemo(
    () =>
      Object.entries(slots ?? {})
        .filter(([slot]) => slot.startsWith('trial/'))
        .map(([, value]) => value as unknown as KeptTrial)
        .sort((a, b) => a.number - b.number),
    [slots],
  );
  return {
    trials,
    keep: (t) => {
      if (!readOnly) journal.write(block, `trial/${t.id}`, { ...t });
    },
  };
}

/** Every work has chance of its own: what is random doesn't come out alike for two students. */
function seedOf(work: string) {
  return parseInt(work.replaceAll('-', '').slice(-7), 16) || 1;
}

interface Props {
  block: BlockOf<'bench'>;
  journal: Journal;
  /** What was written of this block. */
  slots: Slots[string] | undefined;
  readOnly: boolean;
  /** Whether it is only to be looked at for now: no settings, no tray, no transport. */
  aside: boolean;
  /** A reading to be shown as it was made. */
  show: Reading | null;
  note?: ReactNode;
  standing: Standing;
  looking: Looking;
  onTake: (laidAs: string) => void;
  /** Where a run's table goes, by the time that it goes there. */
  tablesInFront: () => TablesInFront | null;
}

/** An open bench inside a lab, set up as its block says. Not drawn anew with every key typed beside it. */
export const LabBench = memo(function LabBench({
  block,
  journal,
  slots,
  readOnly,
  aside,
  show,
  note,
  standing,
  looking,
  onTake,
  tablesInFront,
}: Props) {
  const { m: whole } = useApparatus(block.apparatus);
  // What the lab doesn't offer to do is nowhere to be done.
  const m = useMemo(
    () => ({ ...whole, acts: whole.acts.filter((a) => block.acts.includes(a.id)) }),
    [whole, block.acts],
  );
  const shelf = useJournalShelf(journal, block.id, slots, readOnly);
  const bench = useBench(m, shelf, block.setup, seedOf(journal.work));
  const { live } = bench;
  const { run, settings } = live.sides[0];
  useTelling(looking, journal.work, block.id, bench);
  const lookingOn = useLookingOn(looking, block.id, bench);
  const instruments = useInstruments(m, bench.pictures[0], run, block.instruments);
  const [trialsOpen, setTrialsOpen] = useState(false);
  const [tableOpen, setTableOpen] = useState(true);
  const [layers, setLayers] = useState<string[]>(block.layers);
  const [tool, setTool] = useState<Tool | null>(null);
  const [behindTrial, setBehindTrial] = useState<KeptTrial | null>(null);
  const behind = useMemo(() => (behindTrial ? [replay(behindTrial.recipe, behindTrial.until)] : []), [behindTrial]);
  const layerSet = useMemo(() => new Set(layers), [layers]);
  const bins = m.distributions.filter((d) => block.histograms.includes(d.id));

  const rowsTaken = (make: MakeTable): Laid => {
    bench.keepAll();
    const trial = bench.trialOf(0);
    if (!trial) return { trouble: 'Nothing has happened here yet: run it first.' };
    return layRows(tablesInFront, make, (time) => ({ trial, frame: time / m.interval, instruments: {} }));
  };

  const trialsTaken = (make: MakeTable, trials: KeptTrial[]) =>
    layRows(tablesInFront, make, (time, row) => ({ trial: trials[row].id, frame: time / m.interval, instruments: {} }));

  // A lying picture leaves room beside it, an upright one below.
  const lying = m.views[0].aspect > UPRIGHT;
  // A lab that gives no channel but outcomes has them told beside the picture and over all trials.
  const rowed = m.channels.some((c) => block.table.includes(c.id));
  const runTable = rowed && tableOpen && hasRows(m, run, live.counting.on) && (
    <RunTablePanel
      m={m}
      run={run}
      playing={live.playing}
      allowed={block.table}
      at={block.tableAt}
      onSeek={live.seek}
      onNotebook={readOnly ? undefined : rowsTaken}
    />
  );

  const drawable = useMemo(() => run.drawing().paper !== undefined, [run]);
  useLeaving(standing);
  useEffect(() =>
    standing.tell({
      state: instruments,
      reading: () => {
        bench.keepAll();
        const trial = bench.trialOf(0);
        return trial ? { trial, frame: instruments.frame, instruments: instruments.placing } : undefined;
      },
      lends: drawable ? { bench: block.id, drawing: () => run.drawing() as Drawing } : undefined,
    }),
  );
  // A reading asked for puts its trial back on the bench, at its moment, with the instruments as they lay.
  const shown = useRef<Reading | null>(null);
  useEffect(() => {
    if (!show || shown.current === show) return;
    shown.current = show;
    const trial = shelf.trials.find((t) => t.id === show.trial);
    if (!trial) return;
    if (bench.trialOf(0) !== trial.id) bench.load(trial, show.frame * m.interval);
    else live.seek(show.frame * m.interval);
    instruments.setPlacing(show.instruments);
  });

  return (
    <div className="flex h-full min-h-0 flex-col" data-testid="lab-bench">
      {!aside && (
        <>
          <Tray state={instruments}>
            <Press on={trialsOpen} onPress={() => setTrialsOpen(!trialsOpen)}>
              <History size={13} aria-hidden />
              Trials, {shelf.trials.filter((t) => !t.removed).length}
            </Press>
            {!readOnly && (
              <Press
                on={tool !== null}
                onPress={() => {
                  live.play(false);
                  setTool(tool ? null : 'force');
                }}
              >
                <PenLine size={13} aria-hidden />
                Draw over
              </Press>
            )}
            <LookAgain lookingOn={lookingOn} />
            {rowed && (
              <Press on={tableOpen} onPress={() => setTableOpen(!tableOpen)}>
                <Rows3 size={13} aria-hidden />
                Run table
              </Press>
            )}
            {m.layers.length + m.forces.length > 0 && (
              <ShowMenu
                trigger={<Button small>Show</Button>}
                items={[...m.layers, ...forceLayers(m)]}
                chosen={layers}
                onChange={setLayers}
              />
            )}
          </Tray>
          {tool && (
            <DrawTools
              tool={tool}
              onTool={setTool}
              onUndo={() => bench.draw(0, bench.shapes(0).slice(0, -1))}
              onClear={() => bench.draw(0, [])}
              empty={bench.shapes(0).length === 0}
            />
          )}
        </>
      )}
      <div className="@container flex min-h-0 flex-1">
        {trialsOpen && !aside && (
          <aside className="w-56 shrink-0 overflow-auto border-r bg-sheet px-3 py-2" aria-label="Trials">
            <TrialsPanel
              m={m}
              shelf={shelf}
              current={bench.trialOf(0)}
              behind={behindTrial?.id ?? null}
              onOpen={(t) => bench.load(t)}
              onRepeat={bench.repeat}
              onBehind={setBehindTrial}
              readOnly={readOnly}
              allowed={block.table}
              onNotebook={readOnly ? undefined : trialsTaken}
            />
          </aside>
        )}
        <div className="flex min-w-0 flex-1 flex-col @xl:flex-row">
          <div className="relative grid min-h-24 min-w-0 flex-1">
            <BenchStage bench={bench} side={0} layers={layerSet} tool={live.playing ? null : tool} behind={behind}>
              {(picture) => (
                <InstrumentLayer
                  state={instruments}
                  picture={picture}
                  content="bench-content-0"
                  points={snapPoints(m, picture, instruments.markers, instruments.frame)}
                />
              )}
            </BenchStage>
            <div className="absolute bottom-1 left-2 flex max-w-[calc(100%-9rem)] flex-col items-start gap-1">
              {note ?? (!aside && <PictureNote bench={bench} layers={layerSet} />)}
            </div>
          </div>
          {!aside && !trialsOpen && <Beside block={block} m={m} run={run} behind={behind} />}
          {runTable && lying && !aside && (
            <div className="flex w-72 shrink-0 flex-col border-l bg-sheet">{runTable}</div>
          )}
          {bins.length > 0 && !aside && !trialsOpen && (
            <div className={`${SIDE} grid auto-cols-fr grid-flow-col gap-x-4 @xl:w-1/2 @3xl:w-96`}>
              {bins.map((d) => (
                <HistogramPanel
                  key={d.id}
                  m={m}
                  run={run}
                  distribution={d}
                  names={populationNames(m, d, settings)}
                  layers={layerSet}
                />
              ))}
            </div>
          )}
        </div>
      </div>
      {!aside && (
        <>
          <div className="flex flex-wrap items-center border-t bg-sheet pr-3">
            <InstrumentStrip state={instruments} onGo={(f) => live.seek(instruments.seconds(f))} onTake={onTake} />
            <div className="py-1 pl-3">
              <Readouts m={m} shown={block.readouts} values={run.channels()} bodies={run.bodies()} lying />
            </div>
          </div>
          {runTable && !lying && (
            <div className="flex max-h-[34%] min-h-24 shrink-0 flex-col border-t bg-sheet">{runTable}</div>
          )}
          <OpenSettings
            block={block}
            bench={bench}
            fixed={lookingOn.on}
            wanted={!readOnly && <StillWanted block={block} m={m} slots={slots} />}
          />
          <Trouble error={bench.trouble} />
          <Hands bench={bench} lookingOn={lookingOn} />
        </>
      )}
    </div>
  );
});

/** While somebody answers, the picture has the room; before, there are no rows yet. */
function hasRows(m: Manifest, run: Run, answering: boolean) {
  return m.clock !== 'person' || (run.head() > 0 && !answering);
}

/** Accounts and curves that the lab shows beside the picture, and what the run has come to. */
function Beside({ block, m, run, behind }: { block: BlockOf<'bench'>; m: Manifest; run: Run; behind: Run[] }) {
  const settled = run.outcomes();
  const told = m.outcomes.filter((o, i) => block.table.includes(o.id) && !Number.isNaN(settled[i])).map((o) => o.id);
  if ([...block.bars, ...block.profiles, ...block.graphs, ...told].length === 0) return null;
  const drawn = m.channels.filter((c) => block.graphs.includes(c.id));
  const units = [...new Set(drawn.map((c) => c.unit))];
  return (
    <div
      className={`${SIDE} ${ABREAST} ${block.graphs.length ? '@xl:w-80' : '@xl:w-56'}`}
      tabIndex={0}
      role="region"
      aria-label="Bars, curves and what it came to"
    >
      <CameTo m={m} run={run} only={told} />
      {block.bars.map((ledger) => (
        <Bars key={ledger} m={m} run={run} ledger={ledger} />
      ))}
      {units.map((unit) => (
        <ChannelGraph key={unit} m={m} run={run} behind={behind} channels={drawn.filter((c) => c.unit === unit)} />
      ))}
      {m.profiles
        .filter((p) => block.profiles.includes(p.id))
        .map((p) => (
          <ProfileGraph key={p.id} m={m} run={run} profile={p} />
        ))}
    </div>
  );
}

/** A small button that stays pressed. */
function Press({ on, onPress, children }: { on: boolean; onPress: () => void; children: ReactNode }) {
  return (
    <Button small aria-pressed={on} className={on ? 'border-copper!' : ''} onClick={onPress}>
      {children}
    </Button>
  );
}
