import { History, PenLine, SlidersHorizontal } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { BenchStage, PictureNote } from '../bench/BenchStage';
import { DrawTools, type Tool } from '../bench/DrawOver';
import { HistogramPanel } from '../bench/HistogramPanel';
import { populationNames } from '../bench/words';
import { Readouts } from '../bench/Readouts';
import { SettingsPanel } from '../bench/SettingsPanel';
import { ShowMenu } from '../bench/ShowMenu';
import { Transport } from '../bench/Transport';
import type { KeptTrial, TrialShelf } from '../bench/trials';
import { TrialsPanel } from '../bench/TrialsPanel';
import { useBench } from '../bench/useBench';
import { distinct, type BlockOf, type Manifest } from '../core';
import { replay } from '../core/models';
import { InstrumentLayer, Tray } from '../instruments/InstrumentLayer';
import { InstrumentStrip } from '../instruments/InstrumentStrip';
import { snapPoints } from '../instruments/snap';
import { useInstruments, type InstrumentState } from '../instruments/useInstruments';
import type { Journal } from '../notebook/journal';
import type { Reading } from '../notebook/table';
import { useApparatus } from '../scenes/useApparatus';
import { Button, Trouble } from '../ui';

/** What the notebook needs to know of the bench: where it stands, and what its displays show. */
export interface BenchNow {
  reading: () => Reading | undefined;
  state: InstrumentState;
}

/** Trials of a lab's bench, kept in the notebook like everything a student makes. */
function useJournalShelf(journal: Journal, block: string, readOnly: boolean): TrialShelf {
  const slots = journal.all()[block];
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

/** How many different trials are still to be run, and what may be changed to make one. */
function StillWanted({ block, m, trials }: { block: BlockOf<'bench'>; m: Manifest; trials: KeptTrial[] }) {
  const made = distinct(trials.filter((t) => !t.removed).map((t) => t.settings));
  const missing = block.distinctTrials - made;
  if (missing <= 0 || made === 0) return null;
  const names = m.settings.filter((s) => block.open.includes(s.id)).map((s) => s.name.toLowerCase());
  return (
    <p className="text-fine text-soft" data-testid="still-wanted">
      {made} of {block.distinctTrials} different trials run. Still wanted: {missing} with another{' '}
      {names.length > 4 ? 'setting' : new Intl.ListFormat('en', { type: 'disjunction' }).format(names)}.
    </p>
  );
}

/** An open bench inside a lab, set up as its block says. */
export function LabBench({
  block,
  journal,
  readOnly,
  show,
  note,
  onNow,
  onTake,
}: {
  block: BlockOf<'bench'>;
  journal: Journal;
  readOnly: boolean;
  /** A reading to be shown as it was made. */
  show: Reading | null;
  note?: React.ReactNode;
  onNow: (now: BenchNow) => void;
  onTake?: (instrument: string) => void;
}) {
  const { m } = useApparatus(block.apparatus);
  const shelf = useJournalShelf(journal, block.id, readOnly);
  const bench = useBench(m, shelf, block.setup, seedOf(journal.work));
  const { live } = bench;
  const { run, settings } = live.sides[0];
  const instruments = useInstruments(m, bench.pictures[0], run, block.instruments);
  const [left, setLeft] = useState<'settings' | 'trials'>('settings');
  const [layers, setLayers] = useState<string[]>(block.layers);
  const [tool, setTool] = useState<Tool | null>(null);
  const shapes = bench.shapes(0);
  const [behindTrial, setBehindTrial] = useState<KeptTrial | null>(null);
  const behind = useMemo(() => (behindTrial ? [replay(behindTrial.recipe, behindTrial.until)] : []), [behindTrial]);
  const layerSet = useMemo(() => new Set(layers), [layers]);
  const bins = m.distributions.filter((d) => block.histograms.includes(d.id));
  // An upright picture leaves room beside it for the histogram, a lying one below.
  const [picture] = bench.pictures;
  const upright = picture.width < 1.6 * picture.height;

  const tell = useRef(onNow);
  tell.current = onNow;
  useEffect(() =>
    tell.current({
      state: instruments,
      reading: () => {
        bench.keepAll();
        const trial = bench.trialOf(0);
        return trial ? { trial, frame: instruments.frame, instruments: instruments.placing } : undefined;
      },
    }),
  );
  // A reading asked for puts its trial back on the bench, at its moment, with the instruments as they lay.
  const shown = useRef<Reading | null>(null);
  useEffect(() => {
    if (!show || shown.current === show) return;
    shown.current = show;
    const trial = shelf.trials.find((t) => t.id === show.trial);
    if (!trial) return;
    if (bench.trialOf(0) !== trial.id) bench.load(trial);
    live.seek(show.frame * m.interval);
    instruments.setPlacing(show.instruments);
  });

  return (
    <div
      className="grid h-full min-h-0"
      style={{ gridTemplateColumns: '13.5rem minmax(0,1fr)', gridTemplateRows: 'minmax(0,1fr) auto auto' }}
    >
      <aside
        className="flex min-h-0 flex-col gap-2 overflow-auto border-r bg-sheet px-3 py-2"
        aria-label="Settings and readings"
      >
        <div className="flex flex-wrap gap-1">
          <Button
            small
            aria-pressed={left === 'settings'}
            className={left === 'settings' ? 'border-copper!' : ''}
            onClick={() => setLeft('settings')}
          >
            <SlidersHorizontal size={13} aria-hidden />
            Settings
          </Button>
          <Button
            small
            aria-pressed={left === 'trials'}
            className={left === 'trials' ? 'border-copper!' : ''}
            onClick={() => setLeft('trials')}
          >
            <History size={13} aria-hidden />
            Trials, {shelf.trials.filter((t) => !t.removed).length}
          </Button>
          {!readOnly && (
            <Button
              small
              aria-pressed={tool !== null}
              className={tool ? 'border-copper!' : ''}
              onClick={() => {
                live.play(false);
                setTool(tool ? null : 'force');
              }}
            >
              <PenLine size={13} aria-hidden />
              Draw over
            </Button>
          )}
          {m.layers.length > 0 && (
            <ShowMenu title="Show" items={m.layers} chosen={layers} onChange={setLayers} icon={null} />
          )}
        </div>
        {left === 'settings' ? (
          <>
            {!readOnly && <StillWanted block={block} m={m} trials={shelf.trials} />}
            <Readouts m={m} shown={block.readouts} values={run.channels()} />
            <SettingsPanel m={m} values={settings} only={block.open} onChange={(id, v) => bench.change(0, id, v)} />
          </>
        ) : (
          <TrialsPanel
            m={m}
            shelf={shelf}
            current={bench.trialOf(0)}
            behind={behindTrial?.id ?? null}
            onOpen={bench.load}
            onRepeat={bench.repeat}
            onBehind={setBehindTrial}
            readOnly={readOnly}
          />
        )}
        <Trouble error={bench.trouble} />
      </aside>
      <div
        className={`relative grid min-h-0 min-w-0 ${upright && bins.length ? 'grid-cols-2' : 'grid-cols-1'} grid-rows-[auto_minmax(0,1fr)_auto]`}
      >
        <div className="col-span-full">
          {tool && (
            <DrawTools
              tool={tool}
              onTool={setTool}
              onUndo={() => bench.draw(0, shapes.slice(0, -1))}
              onClear={() => bench.draw(0, [])}
              empty={shapes.length === 0}
            />
          )}
          <Tray state={instruments} note={<PictureNote bench={bench} layers={layerSet} />} />
        </div>
        <div className="relative grid min-h-24 min-w-0">
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
          {note && <div className="absolute top-2 left-2 max-w-[90%]">{note}</div>}
        </div>
        {bins.length > 0 && (
          <div
            className={`grid gap-x-4 overflow-auto bg-sheet px-3 py-1.5 ${upright ? 'border-l' : 'max-h-56 border-t'}`}
            style={{ gridTemplateColumns: `repeat(${bins.length}, minmax(0,1fr))` }}
          >
            {bins.map((d) => (
              <HistogramPanel
                key={d.id}
                m={m}
                run={run}
                distribution={d}
                names={populationNames(m, d, settings)}
                layers={layerSet}
                tall={upright}
              />
            ))}
          </div>
        )}
      </div>
      <div className="col-span-full">
        <InstrumentStrip state={instruments} onGo={(f) => live.seek(instruments.seconds(f))} onTake={onTake} />
      </div>
      <Transport bench={bench} compact />
    </div>
  );
}
