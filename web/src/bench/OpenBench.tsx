import { LabelledDrawing } from './LabelledDrawing';
import { Shrink } from 'lucide-react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Navigate, useParams, useSearchParams } from 'react-router';
import { useMe } from '../shell/session';
import { isApparatus, type Manifest, type SetUp } from '../core';
import { replay } from '../core/models';
import { InstrumentLayer } from '../instruments/InstrumentLayer';
import { InstrumentStrip } from '../instruments/InstrumentStrip';
import { snapPoints } from '../instruments/kind/snap';
import { Tray } from '../instruments/Tray';
import { useInstruments } from '../instruments/useInstruments';
import { useApparatus } from '../scenes/useApparatus';
import { Button, Select, Trouble } from '../ui';
import { AnswerBar } from './AnswerBar';
import { BenchHeader, type Left } from './BenchHeader';
import { BenchStage, PictureNote } from './BenchStage';
import { ledgersOf } from './Bars';
import { Dock, type Shown } from './Dock';
import { DrawTools, type Tool } from './DrawOver';
import { HistogramPanel } from './HistogramPanel';
import { RunTablePanel } from './RunTablePanel';
import { SettingsPanel } from './SettingsPanel';
import { Transport } from './Transport';
import { useDeviceShelf, type KeptTrial } from './trials';
import { TrialsPanel } from './TrialsPanel';
import { useBench } from './useBench';
import { UPRIGHT } from '../picture/picture';
import { useProjector } from './useProjector';
import { populationNames } from './words';

export default function OpenBench() {
  const { apparatus = '' } = useParams();
  return isApparatus(apparatus) ? (
    <Known key={apparatus} apparatus={apparatus} />
  ) : (
    <Navigate to="/catalogue" replace />
  );
}

function Known({ apparatus }: { apparatus: string }) {
  return <Bench m={useApparatus(apparatus).m} />;
}

/** The teacher's bench: one apparatus, live; or two of it side by side. */
function Bench({ m }: { m: Manifest }) {
  const shelf = useDeviceShelf(useMe()?.userName ?? '', m.id);
  const bench = useBench(m, shelf);
  const { live } = bench;
  const [shown, setShown] = useState<Shown>(() => ({
    readouts: m.channels
      .filter((c) => !c.account && !c.ledger)
      .slice(0, 3)
      .map((c) => c.id),
    bars: ledgersOf(m)
      .map((l) => l.id)
      .slice(0, 1),
    graphed: [],
    layers: [],
    histograms: m.distributions.slice(0, 1).map((d) => d.id),
    profiles: [],
    against: '',
    table: false,
  }));
  const show = useCallback((more: Partial<Shown>) => setShown((s) => ({ ...s, ...more })), []);
  const [left, setLeft] = useState<Left>('settings');
  const [side, setSide] = useState(0);
  const [tool, setTool] = useState<Tool | null>(null);
  const [behindTrial, setBehindTrial] = useState<KeptTrial | null>(null);
  const [pictureOnly, setPictureOnly] = useState(false);
  const projector = useProjector();
  const instruments = useInstruments(m, bench.pictures[0], live.sides[0].run);
  // On the projector the apparatus has the room; settings come back at a press.
  useEffect(() => setLeft(projector.on ? null : 'settings'), [projector.on]);
  const two = live.sides.length > 1;
  const at = Math.min(side, live.sides.length - 1);
  const behind = useMemo(() => (behindTrial ? [replay(behindTrial.recipe, behindTrial.until)] : []), [behindTrial]);
  const docked =
    !pictureOnly && [shown.readouts, shown.bars, shown.graphed, shown.profiles].some((list) => list.length > 0);
  const leftShown = pictureOnly ? null : left;
  const layers = useMemo(() => new Set(shown.layers), [shown.layers]);
  const bins = m.distributions.filter((d) => shown.histograms.includes(d.id));
  // One upright picture leaves room beside it for how values are spread.
  const beside = !two && m.views[0].aspect <= UPRIGHT;
  const firstRun = live.sides[0].run;
  const drawable = useMemo(() => firstRun.drawing().paper !== undefined, [firstRun]);
  const drawing = tool !== null;
  const { play } = live;
  const toggleDrawing = useCallback(() => {
    play(false);
    setTool((t) => (t === null ? 'force' : null));
  }, [play]);
  const shapes = bench.shapes(at);
  const { present } = bench;
  const latest = useRef<(setUp: SetUp) => void>(() => undefined);
  useEffect(() => {
    latest.current = (setUp) => {
      if (two) live.sideBySide(false);
      present(setUp);
      show(setUp.shown);
    };
  });
  // The header isn't drawn anew with every frame.
  const takeSetUp = useCallback((setUp: SetUp) => latest.current(setUp), []);
  // Who comes from a set-up's entry finds it on the bench; from then on the bench is as it was left.
  const [params, setParams] = useSearchParams();
  const asked = params.get('set-up');
  useEffect(() => {
    if (!asked) return;
    const found = (m.setUps as SetUp[]).find((s) => s.id === asked);
    if (found) takeSetUp(found);
    setParams([], { replace: true });
  }, [asked, m, takeSetUp, setParams]);

  return (
    <main
      className="grid h-screen bg-paper text-ink"
      style={{
        gridTemplateRows: `${pictureOnly ? '0' : '3.25rem'} minmax(0,1fr) auto auto auto`,
        gridTemplateColumns: `${leftShown ? '17.5rem' : ''} minmax(0, 1fr) ${docked ? 'clamp(13rem, 24vw, 20rem)' : ''}`,
      }}
    >
      <BenchHeader
        m={m}
        bodies={JSON.stringify(live.sides[0].run.bodies())}
        shown={shown}
        onShow={show}
        left={left}
        onLeft={setLeft}
        two={two}
        onTwo={live.sideBySide}
        drawing={drawing}
        onDraw={toggleDrawing}
        hidden={pictureOnly}
        onPictureOnly={setPictureOnly}
        projector={projector.on}
        onProjector={projector.toggle}
        onSetUp={takeSetUp}
      />

      {leftShown && (
        <aside
          className="overflow-auto border-r bg-sheet p-4"
          aria-label={leftShown === 'settings' ? 'Settings' : 'Trials'}
        >
          {leftShown === 'settings' ? (
            <div className="flex flex-col gap-3">
              {two && (
                <Select
                  label="Settings of bench"
                  value={String(at)}
                  onChange={(v) => setSide(Number(v))}
                  options={[
                    { id: '0', name: 'A' },
                    { id: '1', name: 'B' },
                  ]}
                />
              )}
              <SettingsPanel m={m} values={live.sides[at].settings} onChange={(id, v) => bench.change(at, id, v)} />
              {m.clock !== 'person' && m.distributions.length > 0 && (
                <Button small onClick={() => bench.restart({ side: at, seed: live.sides[at].seed + 1 })}>
                  Restart with new chance
                </Button>
              )}
            </div>
          ) : (
            <TrialsPanel
              m={m}
              shelf={shelf}
              current={bench.trialOf(0)}
              behind={behindTrial?.id ?? null}
              onOpen={(t) => bench.load(t)}
              onRepeat={bench.repeat}
              onBehind={setBehindTrial}
            />
          )}
        </aside>
      )}

      <section className="flex min-h-0 min-w-0 flex-col" aria-label="Bench">
        {drawing && (
          <DrawTools
            tool={tool}
            onTool={setTool}
            onUndo={() => bench.draw(at, shapes.slice(0, -1))}
            onClear={() => bench.draw(at, [])}
            empty={shapes.length === 0}
          />
        )}
        <Tray state={instruments}>{drawable && <LabelledDrawing run={live.sides[at].run} name={m.name} />}</Tray>
        <div className={`flex min-h-0 min-w-0 flex-1 ${beside ? 'flex-row' : 'flex-col'}`}>
          <div
            className="relative grid min-h-0 min-w-0 flex-1"
            style={{ gridTemplateColumns: two ? '1fr 1fr' : '1fr' }}
          >
            {live.sides.map((_, i) => (
              <BenchStage
                key={i}
                bench={bench}
                side={i}
                layers={layers}
                tool={live.playing ? null : tool}
                behind={i === 0 ? behind : []}
                label={two ? 'AB'[i] : undefined}
              >
                {i === 0
                  ? (picture) => (
                      <InstrumentLayer
                        state={instruments}
                        picture={picture}
                        content="bench-content-0"
                        points={snapPoints(m, picture, instruments.markers, instruments.frame)}
                      />
                    )
                  : undefined}
              </BenchStage>
            ))}
            <div className="absolute bottom-1 left-2 flex max-w-[calc(100%-9rem)] flex-col items-start gap-1">
              <Trouble error={bench.trouble} />
              <PictureNote bench={bench} layers={layers} />
            </div>
          </div>
          {shown.table && !pictureOnly && (
            <div className={`flex shrink-0 flex-col bg-sheet ${beside ? 'w-[52%] border-l' : 'h-[42%] border-t'}`}>
              <RunTablePanel m={m} run={live.sides[at].run} playing={live.playing} onSeek={live.seek} />
            </div>
          )}
          {bins.length > 0 && !pictureOnly && (
            <div
              className={
                `grid shrink-0 content-start gap-x-4 overflow-auto bg-sheet px-3 py-2 ` +
                `${beside ? 'w-1/2 border-l' : 'max-h-[46%] border-t'}`
              }
              style={{
                gridTemplateColumns: `repeat(${beside ? 1 : Math.max(bins.length, live.sides.length)}, minmax(0,1fr))`,
              }}
            >
              {bins.flatMap((d) =>
                live.sides.map((s, i) => (
                  <HistogramPanel
                    key={`${d.id}${i}`}
                    m={m}
                    run={s.run}
                    distribution={d}
                    names={populationNames(m, d, s.settings)}
                    layers={layers}
                    low={!beside}
                  />
                )),
              )}
            </div>
          )}
        </div>
      </section>

      {docked && <Dock bench={bench} shown={shown} behind={behind} />}

      <div className="col-span-full">
        <InstrumentStrip state={instruments} onGo={(f) => live.seek(instruments.seconds(f))} />
      </div>
      <AnswerBar bench={bench} />
      <Transport bench={bench}>
        {pictureOnly && (
          <Button onClick={() => setPictureOnly(false)}>
            <Shrink size={15} />
            All panels
          </Button>
        )}
      </Transport>
    </main>
  );
}
