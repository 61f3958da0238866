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
  SlidersHorizontal,
} from 'lucide-react';
import { memo } from 'react';
import { Link } from 'react-router';
import type { Manifest } from '../core';
import { Help } from '../shell/Help';
import { pathLayer } from './BenchStage';
import { hasAccount, type Shown } from './Dock';
import { HeadButton } from './HeadButton';
import { ShowMenu } from './ShowMenu';

export type Left = 'settings' | 'trials' | null;

interface Props {
  m: Manifest;
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
}

/** The head of the open bench: what is shown, and in which way. It is drawn anew only when that changes. */
export const BenchHeader = memo(function BenchHeader({
  m,
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
}: Props) {
  const layerItems = [...m.layers, ...m.handles.map((h) => ({ id: pathLayer(h.id), name: `Path of the ${h.name}` }))];
  const panel = (which: Exclude<Left, null>) => onLeft(left === which ? null : which);
  return (
    <header
      className={`col-span-full flex items-center gap-3 overflow-hidden border-b bg-sheet px-4 ${hidden ? 'invisible' : ''}`}
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
        <HeadButton sign={<Columns2 size={15} />} word="Side by side" onClick={() => onTwo(!two)} aria-pressed={two} />
        <HeadButton sign={<PenLine size={15} />} word="Draw" onClick={onDraw} aria-pressed={drawing} />
        {hasAccount(m) && (
          <HeadButton
            sign={<BarChart3 size={15} />}
            word="Energy"
            onClick={() => onShow({ bars: !shown.bars })}
            aria-pressed={shown.bars}
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
          items={m.channels}
          chosen={shown.readouts}
          onChange={(readouts) => onShow({ readouts })}
        />
        <ShowMenu
          trigger={<HeadButton sign={<LineChart size={15} />} word="Graph" />}
          items={m.channels}
          chosen={shown.graphed}
          onChange={(graphed) => onShow({ graphed })}
        />
        <HeadButton sign={<Expand size={15} />} word="Picture only" onClick={() => onPictureOnly(true)} />
        <Help at="bench" trigger={<HeadButton sign={<CircleHelp size={15} />} word="Help" />} />
        <HeadButton sign={<Monitor size={15} />} word={projector ? 'Leave' : 'Projector'} onClick={onProjector} />
      </div>
    </header>
  );
});
