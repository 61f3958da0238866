import clsx from 'clsx';
import {
  ArrowLeft,
  BarChart3,
  CircleHelp,
  Columns2,
  Expand,
  Gauge,
  History,
  Layers,
  LineChart,
  Monitor,
  PenLine,
  Rows3,
  SlidersHorizontal,
} from 'lucide-react';
import { memo } from 'react';
import { Link } from 'react-router';
import type { Manifest, SetUp } from '../core';
import { Help } from '../shell/Help';
import { pathLayer } from './BenchStage';
import { ENERGY, ledgersOf } from './Bars';
import type { Shown } from './Dock';
import { forceLayers } from './ForceArrows';
import { HeadButton } from './HeadButton';
import { Select } from '../ui';
import { SetUpMenu } from './SetUpMenu';
import { ShowMenu, Tick } from './ShowMenu';
import { channelItems } from './words';

export type Left = 'settings' | 'trials' | null;

interface Props {
  m: Manifest;
  /** What each body is called now, as JSON, which stays the same while nothing changes. */
  bodies: string;
  shown: Shown;
  onShow: (more: Partial<Shown>) => void;
  left: Left;
  onLeft: (l: Left) => void;
  two: boolean;
  onTwo: (on: boolean) => void;
  drawing: boolean;
  onDraw: () => void;
  hidden: boolean;
  onPictureOnly: (on: boolean) => void;
  projector: boolean;
  onProjector: () => void;
  onSetUp: (s: SetUp) => void;
}

/** The head of the open bench: what is shown, and in which way. It is drawn anew only when that changes. */
export const BenchHeader = memo(function BenchHeader({
  m,
  bodies,
  shown,
  onShow,
  left,
  onLeft,
  two,
  onTwo,
  drawing,
  onDraw,
  hidden,
  onPictureOnly,
  projector,
  onProjector,
  onSetUp,
}: Props) {
  const layerItems = [
    ...m.layers,
    ...forceLayers(m),
    ...m.handles.map((h) => ({ id: pathLayer(h.id), name: `Path of the ${h.name}` })),
  ];
  const setUps = m.setUps as SetUp[];
  const ledgers = ledgersOf(m);
  const bodyNames = JSON.parse(bodies) as string[];
  const channels = channelItems(m, bodyNames);
  const panel = (which: Exclude<Left, null>) => onLeft(left === which ? null : which);
  return (
    <header
      className={clsx(
        'col-span-full flex items-center gap-3 overflow-hidden border-b bg-sheet px-4',
        hidden && 'invisible',
      )}
    >
      <Link to="/catalogue" aria-label="Back to the catalogue" className="rounded-house p-1.5 hover:bg-line/50">
        <ArrowLeft size={18} />
      </Link>
      <h1 className="min-w-0 truncate text-lead font-bold">{m.name}</h1>
      <div className="ml-auto flex shrink-0 gap-1.5 max-[68rem]:gap-0.5">
        <HeadButton
          sign={<SlidersHorizontal size={15} />}
          word="Settings"
          onClick={() => panel('settings')}
          aria-pressed={left === 'settings'}
        />
        <HeadButton
          sign={<History size={15} />}
          word="Trials"
          onClick={() => panel('trials')}
          aria-pressed={left === 'trials'}
        />
        {setUps.length > 0 && <SetUpMenu setUps={setUps} onTake={onSetUp} />}
        {m.clock !== 'person' && (
          <HeadButton
            sign={<Columns2 size={15} />}
            word="Side by side"
            onClick={() => onTwo(!two)}
            aria-pressed={two}
          />
        )}
        <HeadButton sign={<PenLine size={15} />} word="Draw" onClick={onDraw} aria-pressed={drawing} />
        {ledgers.length === 1 && (
          <HeadButton
            sign={<BarChart3 size={15} />}
            word={ledgers[0].id === ENERGY ? 'Energy' : 'Bars'}
            onClick={() => onShow({ bars: shown.bars.length ? [] : [ledgers[0].id] })}
            aria-pressed={shown.bars.length > 0}
          />
        )}
        {ledgers.length > 1 && (
          <ShowMenu
            trigger={<HeadButton sign={<BarChart3 size={15} />} word="Bars" />}
            items={ledgers}
            chosen={shown.bars}
            onChange={(bars) => onShow({ bars })}
          />
        )}
        {layerItems.length > 0 && (
          <ShowMenu
            trigger={<HeadButton sign={<Layers size={15} />} word="Show" />}
            items={layerItems}
            chosen={shown.layers}
            onChange={(l) => onShow({ layers: l })}
          />
        )}
        {m.distributions.length > 0 && (
          <ShowMenu
            trigger={<HeadButton sign={<BarChart3 size={15} />} word="Histogram" />}
            items={m.distributions}
            chosen={shown.histograms}
            onChange={(histograms) => onShow({ histograms })}
          />
        )}
        <ShowMenu
          trigger={<HeadButton sign={<Gauge size={15} />} word="Readouts" />}
          items={channels}
          chosen={shown.readouts}
          onChange={(readouts) => onShow({ readouts })}
        />
        <ShowMenu
          trigger={<HeadButton sign={<LineChart size={15} />} word="Graph" />}
          items={channels}
          chosen={shown.graphed}
          onChange={(graphed) => onShow({ graphed })}
        >
          {m.profiles.length > 0 && (
            <div className="border-t pt-1.5">
              <p className="text-fine text-soft">At this instant</p>
              {m.profiles.map((p) => (
                <Tick
                  key={p.id}
                  name={p.name}
                  on={shown.profiles.includes(p.id)}
                  onTick={(on) =>
                    onShow({ profiles: on ? [...shown.profiles, p.id] : shown.profiles.filter((x) => x !== p.id) })
                  }
                />
              ))}
            </div>
          )}
          <Select
            label="against"
            value={shown.against}
            onChange={(against) => onShow({ against })}
            options={[{ id: '', name: m.clock === 'steps' ? 'the steps' : 'time' }, ...channels]}
          />
        </ShowMenu>
        <HeadButton
          sign={<Rows3 size={15} />}
          word="Run table"
          onClick={() => onShow({ table: !shown.table })}
          aria-pressed={shown.table}
        />
        <HeadButton sign={<Expand size={15} />} word="Picture only" onClick={() => onPictureOnly(true)} />
        <Help at="bench" trigger={<HeadButton sign={<CircleHelp size={15} />} word="Help" />} />
        <HeadButton sign={<Monitor size={15} />} word={projector ? 'Leave' : 'Projector'} onClick={onProjector} />
      </div>
    </header>
  );
});
