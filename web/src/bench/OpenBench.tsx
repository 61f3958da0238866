import { ArrowLeft, BarChart3, Layers, LineChart, Monitor, Pause, Play, RotateCcw, SkipBack, SlidersHorizontal, StepBack, StepForward } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useEffect, useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { initialSettings, isShown, manifest, placed, printFixed, type Manifest, type SettingValue } from '../core';
import { sceneOf } from '../scenes';
import { NO_LAYERS, pictureOfRun, toMetres } from '../scenes/picture';
import { Button, IconButton, Select, Slider, Trouble } from '../ui';
import { BenchHandle } from './BenchHandle';
import { ChannelGraph } from './ChannelGraph';
import { EnergyBars, Readouts } from './Readouts';
import { SettingsPanel } from './SettingsPanel';
import { Stage, useStage } from './Stage';
import { StopAtMenu } from './StopAtMenu';
import { useRun } from './useRun';

const SPEEDS = [0.1, 0.25, 0.5, 1, 2, 4];

export default function OpenBench() {
  const { apparatus = '' } = useParams();
  const m = manifest(apparatus);
  return m ? <Bench key={m.id} m={m} /> : <Navigate to="/catalogue" replace />;
}

/** The teacher's bench: one apparatus, live. */
function Bench({ m }: { m: Manifest }) {
  const [settings, setSettings] = useState(() => initialSettings(m));
  const live = useRun(m, settings);
  const { run } = live;
  const [trouble, setTrouble] = useState<string | undefined>();
  const [readouts, setReadouts] = useState(() => m.channels.filter((c) => !c.account).slice(0, 3).map((c) => c.id));
  const [bars, setBars] = useState(true);
  const [layers, setLayers] = useState<ReadonlySet<string>>(NO_LAYERS);
  const [graphed, setGraphed] = useState<string[]>([]);
  const projector = useProjector();
  const [settingsShown, setSettingsShown] = useState(true);
  // On the projector the apparatus has the room; settings come back at a press.
  useEffect(() => setSettingsShown(!projector.on), [projector.on]);
  const docked = readouts.length > 0 || bars || graphed.length > 0;
  const begun = run.head() > 0;

  const change = (id: string, value: SettingValue) => {
    const next = { ...settings, [id]: value };
    setSettings(next);
    const setting = m.settings.find((s) => s.id === id)!;
    if (begun && setting.live) {
      setTrouble(live.act({ type: 'change', setting: id, value }));
    } else {
      setTrouble(undefined);
      live.restart(next);
    }
  };

  const frame = run.frame(m.views[0].id);
  const picture = pictureOfRun(m, run.scene(), frame);
  const Scene = sceneOf(m.id);
  const values = run.channels();
  const largest = accountLargest(m, run);
  const chosen = m.channels.filter((c) => graphed.includes(c.id));
  const units = [...new Set(chosen.map((c) => c.unit))];

  const grab = (handle: string) => {
    if (run.head() > 0) setTrouble(live.act({ type: 'grab', handle }));
  };
  const move = (handle: string, x: number, y: number) => {
    const at = toMetres(picture, frame, x, y);
    if (run.head() > 0) {
      live.act({ type: 'move', ...at });
    } else {
      const next = { ...settings, ...placed(m.id, handle, at.x, at.y, settings) };
      setSettings(next);
      live.restart(next);
    }
  };
  const letGo = () => {
    if (run.head() > 0) live.act({ type: 'letGo' });
  };

  return (
    <main className="grid h-screen grid-rows-[3.25rem_minmax(0,1fr)_auto] bg-paper text-ink" style={{ gridTemplateColumns: `${settingsShown ? '17.5rem ' : ''}minmax(0, 1fr) ${docked ? 'clamp(13rem, 25vw, 20rem)' : ''}` }}>
      <header className="col-span-full flex items-center gap-3 border-b bg-sheet px-4">
        <Link to="/catalogue" aria-label="Back to the catalogue" className="rounded-house p-1.5 hover:bg-line/50"><ArrowLeft size={18} /></Link>
        <h1 className="text-lead font-bold">{m.name}</h1>
        {!projector.on && <span className="text-soft">open bench</span>}
        <div className="ml-auto flex gap-2">
          <Button onClick={() => setSettingsShown(!settingsShown)} aria-pressed={settingsShown} className={settingsShown ? 'border-copper!' : ''}><SlidersHorizontal size={15} />Settings</Button>
          <Button onClick={() => setBars(!bars)} aria-pressed={bars} className={bars ? 'border-copper!' : ''}><BarChart3 size={15} />Energy</Button>
          {m.layers.length > 0 && <ShowMenu title="Show" items={m.layers} chosen={[...layers]} onChange={(l) => setLayers(new Set(l))} icon={<Layers size={15} />} />}
          <ShowMenu title="Readouts" items={m.channels} chosen={readouts} onChange={setReadouts} icon={null} />
          <ShowMenu title="Graph" items={m.channels} chosen={graphed} onChange={setGraphed} icon={<LineChart size={15} />} />
          <Button onClick={projector.toggle} aria-pressed={projector.on}><Monitor size={15} />{projector.on ? 'Leave' : 'Projector'}</Button>
        </div>
      </header>

      {settingsShown && (
        <aside className="overflow-auto border-r bg-sheet p-4" aria-label="Settings">
          <SettingsPanel m={m} values={settings} onChange={change} />
          <Trouble error={trouble} />
        </aside>
      )}

      <Stage picture={picture} label={`${m.name}, ${m.views[0].name.toLowerCase()}`}>
        <Grid picture={picture} />
        <Scene picture={picture} layers={layers} />
        {m.handles.map((h) => <BenchHandle key={h.id} handle={h} picture={picture} onGrab={() => grab(h.id)} onMove={(x, y) => move(h.id, x, y)} onLetGo={letGo} />)}
      </Stage>

      {docked && <aside className="flex flex-col gap-2.5 overflow-auto border-l bg-sheet px-4 py-2" aria-label="Readings">
        {readouts.length > 0 && <Readouts m={m} shown={readouts} values={values} />}
        {bars && <EnergyBars m={m} values={values} largest={largest} />}
        {units.map((u) => <ChannelGraph key={u} m={m} run={run} channels={chosen.filter((c) => c.unit === u)} />)}
        {chosen.length === 0 && <p className="text-fine text-soft">Under Graph, choose what to plot against time. It shows the whole run, also what is already past.</p>}
      </aside>}

      <footer className="col-span-full flex items-center gap-3 border-t bg-sheet px-4 py-2.5" aria-label="Transport">
        <Button kind="main" className="w-24" onClick={() => live.play(!live.playing)}>
          {live.playing ? <><Pause size={16} />Pause</> : <><Play size={16} />Run</>}
        </Button>
        <IconButton label="Step one frame back" onClick={() => live.seek(run.time() - m.interval)} disabled={run.time() === 0}><StepBack size={16} /></IconButton>
        <IconButton label="Step one frame forward" onClick={() => live.seek(run.time() + m.interval)}><StepForward size={16} /></IconButton>
        <IconButton label="To the beginning of this run" onClick={() => live.seek(0)} disabled={run.time() === 0}><SkipBack size={16} /></IconButton>
        <IconButton label="Restart with these settings" onClick={() => live.restart(settings)} disabled={!begun}><RotateCcw size={16} /></IconButton>
        {m.acts.filter((a) => isShown(a.shownWhen, settings)).map((a) => <Button key={a.id} onClick={() => setTrouble(live.act({ type: 'perform', act: a.id }))}>{a.name}</Button>)}
        <div className="flex min-w-40 flex-1 items-center gap-3">
          <Slider label="Time line" className="flex-1" value={run.time()} min={0} max={Math.max(run.head(), 1e-6)} step={m.interval / 4} disabled={!begun} onChange={live.seek} valueText={`${printFixed(run.time(), 2)} s`} />
          <output className="mono w-24 text-lead font-semibold whitespace-nowrap" data-testid="time">{printFixed(run.time(), 3)} s</output>
        </div>
        <Select label="Speed" value={String(live.speed)} onChange={(v) => live.setSpeed(Number(v))} options={SPEEDS.map((s) => ({ id: String(s), name: `${s}×` }))} />
        <StopAtMenu m={m} onStopAt={live.stopAt} />
        <span className="sr-only" role="status">{live.stopped ? `Stopped at ${printFixed(run.time(), 3)} s` : ''}</span>
      </footer>
    </main>
  );
}

/** The largest part of the account so far, so that the bars keep one scale through the run. */
function accountLargest(m: Manifest, run: { samples(i: number): Float64Array; sampleCount(): number }) {
  let most = 0;
  m.channels.forEach((c, i) => {
    if (!c.account) return;
    const samples = run.samples(i);
    for (let k = 0; k < run.sampleCount(); k++) most = Math.max(most, Math.abs(samples[k]));
  });
  return most;
}

function ShowMenu({ title, items, chosen, onChange, icon }: { title: string; items: { id: string; name: string }[]; chosen: string[]; onChange: (c: string[]) => void; icon: React.ReactNode }) {
  return (
    <Popover.Root>
      <Popover.Trigger asChild><Button>{icon}{title}</Button></Popover.Trigger>
      <Popover.Portal>
        <Popover.Content sideOffset={6} align="end" className="z-40 flex flex-col gap-1 rounded-house border bg-sheet p-3 text-ink">
          {items.map((c) => (
            <label key={c.id} className="flex items-center gap-2">
              <input type="checkbox" className="h-4 w-4 accent-(--copper)" checked={chosen.includes(c.id)} onChange={(e) => onChange(e.target.checked ? [...chosen, c.id] : chosen.filter((x) => x !== c.id))} />
              {c.name}
            </label>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** Squares of a round size, named in the corner. */
function Grid({ picture }: { picture: { width: number; height: number; scale: number } }) {
  const { pixel } = useStage();
  const metres = [1, 0.5, 0.2, 0.1, 0.05, 0.02, 0.01].find((s) => picture.height / (s * picture.scale) >= 6) ?? 0.01;
  const step = metres * picture.scale;
  const lines = [];
  for (let x = -4 * step; x < picture.width + 4 * step; x += step) lines.push(`M${x} ${-4 * step}V${picture.height + 4 * step}`);
  for (let y = -4 * step; y < picture.height + 4 * step; y += step) lines.push(`M${-4 * step} ${y}H${picture.width + 4 * step}`);
  return (
    <g>
      <path d={lines.join('')} stroke="var(--line)" strokeWidth="1" vectorEffect="non-scaling-stroke" opacity="0.7" />
      <text x={8 / pixel} y={picture.height - 10 / pixel} fontSize={13 / pixel} fill="var(--soft)">one square is {metres >= 1 ? `${metres} m` : `${Math.round(metres * 100)} cm`}</text>
    </g>
  );
}

/** Dark theme, larger type, full screen; leaving full screen leaves it. */
function useProjector() {
  const [on, setOn] = useState(false);
  useEffect(() => {
    const left = () => { if (!document.fullscreenElement) setOn(false); };
    document.addEventListener('fullscreenchange', left);
    return () => document.removeEventListener('fullscreenchange', left);
  }, []);
  useEffect(() => {
    // Menus and dialogs hang outside the bench, and rem is the root's: the theme goes there too.
    if (on) document.documentElement.dataset.theme = 'projector';
    else delete document.documentElement.dataset.theme;
    return () => { delete document.documentElement.dataset.theme; };
  }, [on]);
  const toggle = () => {
    if (on) {
      setOn(false);
      if (document.fullscreenElement) void document.exitFullscreen();
    } else {
      setOn(true);
      // Where full screen isn't allowed, the larger dark view still serves.
      document.documentElement.requestFullscreen?.().catch(() => undefined);
    }
  };
  return { on, toggle };
}
