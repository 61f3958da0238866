import { ArrowLeft, BarChart3, Columns2, Expand, History, Layers, LineChart, Monitor, PenLine, Shrink, SlidersHorizontal } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { useMe } from '../app/session';
import { manifest, replay, type Manifest } from '../core';
import { InstrumentLayer, Tray } from '../instruments/InstrumentLayer';
import { InstrumentStrip } from '../instruments/InstrumentStrip';
import { snapPoints } from '../instruments/snap';
import { useInstruments } from '../instruments/useInstruments';
import { Button, Select, Trouble } from '../ui';
import { BenchStage, HAND_PATH, PictureNote } from './BenchStage';
import { Dock, hasAccount, type Shown } from './Dock';
import { DrawTools, type Tool } from './DrawOver';
import { HistogramPanel } from './HistogramPanel';
import { SettingsPanel } from './SettingsPanel';
import { ShowMenu } from './ShowMenu';
import { Transport } from './Transport';
import { useDeviceShelf, type KeptTrial } from './trials';
import { TrialsPanel } from './TrialsPanel';
import { useBench } from './useBench';
import { useProjector } from './useProjector';
import { populationNames } from './populations';

export default function OpenBench() {
  const { apparatus = '' } = useParams();
  const m = manifest(apparatus);
  return m ? <Bench key={m.id} m={m} /> : <Navigate to="/catalogue" replace />;
}

type Left = 'settings' | 'trials' | null;

/** The teacher's bench: one apparatus, live; or two of it side by side. */
function Bench({ m }: { m: Manifest }) {
  const shelf = useDeviceShelf(useMe()?.userName ?? '', m.id);
  const bench = useBench(m, shelf);
  const { live } = bench;
  const [shown, setShown] = useState<Shown>(() => ({
    readouts: m.channels.filter((c) => !c.account).slice(0, 3).map((c) => c.id), bars: hasAccount(m), graphed: [], layers: [], histograms: m.distributions.slice(0, 1).map((d) => d.id),
  }));
  const show = (more: Partial<Shown>) => setShown((s) => ({ ...s, ...more }));
  const [left, setLeft] = useState<Left>('settings');
  const [side, setSide] = useState(0);
  const [tool, setTool] = useState<Tool | null>(null);
  const [behindTrial, setBehindTrial] = useState<KeptTrial | null>(null);
  const [pictureOnly, setPictureOnly] = useState(false);
  const projector = useProjector();
  const instruments = useInstruments(m, bench.pictureOf(0), live.sides[0].run);
  // On the projector the apparatus has the room; settings come back at a press.
  useEffect(() => setLeft(projector.on ? null : 'settings'), [projector.on]);
  const two = live.sides.length > 1;
  const at = Math.min(side, live.sides.length - 1);
  const behind = useMemo(() => (behindTrial ? [replay(behindTrial.recipe, behindTrial.until)] : []), [behindTrial]);
  const docked = !pictureOnly && (shown.readouts.length > 0 || (shown.bars && hasAccount(m)) || shown.graphed.length > 0);
  const leftShown = pictureOnly ? null : left;
  const layers = useMemo(() => new Set(shown.layers), [shown.layers]);
  const layerItems = [...m.layers, ...(m.handles.length ? [{ id: HAND_PATH, name: `Path of the ${m.handles[0].name}` }] : [])];
  const pressed = (on: boolean) => (on ? 'border-copper!' : '');
  const bins = m.distributions.filter((d) => shown.histograms.includes(d.id));
  const panel = (which: Exclude<Left, null>) => setLeft(left === which ? null : which);
  const drawing = tool !== null;
  const shapes = bench.shapes(at);

  return (
    <main className="grid h-screen bg-paper text-ink" style={{ gridTemplateRows: `${pictureOnly ? '0' : '3.25rem'} minmax(0,1fr) auto auto`, gridTemplateColumns: `${leftShown ? '17.5rem ' : ''}minmax(0, 1fr) ${docked ? 'clamp(13rem, 24vw, 20rem)' : ''}` }}>
      <header className={`col-span-full flex items-center gap-3 overflow-hidden border-b bg-sheet px-4 ${pictureOnly ? 'invisible' : ''}`}>
        <Link to="/catalogue" aria-label="Back to the catalogue" className="rounded-house p-1.5 hover:bg-line/50"><ArrowLeft size={18} /></Link>
        <h1 className="text-lead font-bold whitespace-nowrap">{m.name}</h1>
        <div className="ml-auto flex gap-1.5">
          <Button title="Settings" onClick={() => panel('settings')} aria-pressed={left === 'settings'} className={pressed(left === 'settings')}><SlidersHorizontal size={15} /><span className="max-xl:sr-only">Settings</span></Button>
          <Button title="Trials" onClick={() => panel('trials')} aria-pressed={left === 'trials'} className={pressed(left === 'trials')}><History size={15} /><span className="max-xl:sr-only">Trials</span></Button>
          <Button title="Side by side" onClick={() => live.sideBySide(!two)} aria-pressed={two} className={pressed(two)}><Columns2 size={15} /><span className="sr-only">Side by side</span></Button>
          <Button title="Draw over the picture" onClick={() => { live.play(false); setTool(drawing ? null : 'force'); }} aria-pressed={drawing} className={pressed(drawing)}><PenLine size={15} /><span className="max-xl:sr-only">Draw</span></Button>
          {hasAccount(m) && <Button title="Energy" onClick={() => show({ bars: !shown.bars })} aria-pressed={shown.bars} className={pressed(shown.bars)}><BarChart3 size={15} /><span className="max-xl:sr-only">Energy</span></Button>}
          {layerItems.length > 0 && <ShowMenu title="Show" items={layerItems} chosen={shown.layers} onChange={(l) => show({ layers: l })} icon={<Layers size={15} />} />}
          {m.distributions.length > 0 && <ShowMenu title="Histogram" items={m.distributions} chosen={shown.histograms} onChange={(histograms) => show({ histograms })} icon={<BarChart3 size={15} />} />}
          <ShowMenu title="Readouts" items={m.channels} chosen={shown.readouts} onChange={(readouts) => show({ readouts })} icon={null} />
          <ShowMenu title="Graph" items={m.channels} chosen={shown.graphed} onChange={(graphed) => show({ graphed })} icon={<LineChart size={15} />} />
          <Button title="Picture only" onClick={() => setPictureOnly(true)}><Expand size={15} /><span className="sr-only">Picture only</span></Button>
          <Button onClick={projector.toggle} aria-pressed={projector.on}><Monitor size={15} />{projector.on ? 'Leave' : 'Projector'}</Button>
        </div>
      </header>

      {leftShown && (
        <aside className="overflow-auto border-r bg-sheet p-4" aria-label={leftShown === 'settings' ? 'Settings' : 'Trials'}>
          {leftShown === 'settings' ? (
            <div className="flex flex-col gap-3">
              {two && <Select label="Settings of bench" value={String(at)} onChange={(v) => setSide(Number(v))} options={[{ id: '0', name: 'A' }, { id: '1', name: 'B' }]} />}
              <SettingsPanel m={m} values={live.sides[at].settings} onChange={(id, v) => bench.change(at, id, v)} />
              <Trouble error={bench.trouble} />
              {live.sides[at].seed !== undefined && m.distributions.length > 0 && <Button small onClick={() => bench.restart({ side: at, seed: live.sides[at].seed + 1 })}>Restart with new chance</Button>}
            </div>
          ) : (
            <TrialsPanel m={m} shelf={shelf} current={bench.trialOf(0)} behind={behindTrial?.id ?? null} onOpen={bench.load} onRepeat={bench.repeat} onBehind={setBehindTrial} />
          )}
        </aside>
      )}

      <section className="flex min-h-0 min-w-0 flex-col" aria-label="Bench">
        {drawing && <DrawTools tool={tool} onTool={setTool} onUndo={() => bench.draw(at, shapes.slice(0, -1))} onClear={() => bench.draw(at, [])} empty={shapes.length === 0} />}
        <Tray state={instruments} note={<PictureNote bench={bench} layers={layers} />} />
        <div className="relative grid min-h-0 flex-1" style={{ gridTemplateColumns: two ? '1fr 1fr' : '1fr' }}>
          {live.sides.map((_, i) => (
            <BenchStage key={i} bench={bench} side={i} layers={layers} tool={live.playing ? null : tool} behind={i === 0 ? behind : []} label={two ? 'AB'[i] : undefined}>
              {i === 0 ? (picture) => <InstrumentLayer state={instruments} picture={picture} content="bench-content-0" points={snapPoints(m, picture, instruments.markers, instruments.frame)} /> : undefined}
            </BenchStage>
          ))}
          {leftShown !== 'settings' && bench.trouble && <div className="absolute bottom-2 left-2"><Trouble error={bench.trouble} /></div>}
        </div>
        {bins.length > 0 && !pictureOnly && (
          <div className="grid max-h-[46%] shrink-0 gap-x-4 overflow-auto border-t bg-sheet px-3 py-2" style={{ gridTemplateColumns: `repeat(${Math.max(bins.length, live.sides.length)}, minmax(0,1fr))` }}>
            {bins.flatMap((d) => live.sides.map((s, i) => <HistogramPanel key={`${d.id}${i}`} m={m} run={s.run} distribution={d} names={populationNames(m, d, s.settings)} tagged={layers.has('tag')} />))}
          </div>
        )}
      </section>

      {docked && <Dock bench={bench} shown={shown} behind={behind} />}

      <div className="col-span-full"><InstrumentStrip state={instruments} onGo={(f) => live.seek(instruments.seconds(f))} /></div>
      <Transport bench={bench}>
        {pictureOnly && <Button onClick={() => setPictureOnly(false)}><Shrink size={15} />All panels</Button>}
      </Transport>
    </main>
  );
}
