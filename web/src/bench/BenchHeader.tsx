import {
  ArrowLeft,
  BarChart3,
  Columns2,
  Expand,
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
import { Button } from '../ui';
import { pathLayer } from './BenchStage';
import { hasAccount, type Shown } from './Dock';
import { ShowMenu, WORD } from './ShowMenu';

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
  const pressed = (on: boolean) => (on ? 'border-copper!' : '');
  const panel = (which: Exclude<Left, null>) => onLeft(left === which ? null : which);
  return (
    <header
      className={`col-span-full flex items-center gap-3 overflow-hidden border-b bg-sheet px-4 ${hidden ? 'invisible' : ''}`}
    >
      <Link to="/catalogue" aria-label="Back to the catalogue" className="rounded-house p-1.5 hover:bg-line/50">
        <ArrowLeft size={18} />
      </Link>
      <h1 className="text-lead font-bold whitespace-nowrap">{m.name}</h1>
      <div className="ml-auto flex gap-1.5">
        <Button
          title="Settings"
          onClick={() => panel('settings')}
          aria-pressed={left === 'settings'}
          className={pressed(left === 'settings')}
        >
          <SlidersHorizontal size={15} />
          <span className={WORD}>Settings</span>
        </Button>
        <Button
          title="Trials"
          onClick={() => panel('trials')}
          aria-pressed={left === 'trials'}
          className={pressed(left === 'trials')}
        >
          <History size={15} />
          <span className={WORD}>Trials</span>
        </Button>
        <Button title="Side by side" onClick={() => onTwo(!two)} aria-pressed={two} className={pressed(two)}>
          <Columns2 size={15} />
          <span className="sr-only">Side by side</span>
        </Button>
        <Button title="Draw over the picture" onClick={onDraw} aria-pressed={drawing} className={pressed(drawing)}>
          <PenLine size={15} />
          <span className={WORD}>Draw</span>
        </Button>
        {hasAccount(m) && (
          <Button
            title="Energy"
            onClick={() => onShow({ bars: !shown.bars })}
            aria-pressed={shown.bars}
            className={pressed(shown.bars)}
          >
            <BarChart3 size={15} />
            <span className={WORD}>Energy</span>
          </Button>
        )}
        {layerItems.length > 0 && (
          <ShowMenu
            title="Show"
            items={layerItems}
            chosen={shown.layers}
            onChange={(l) => onShow({ layers: l })}
            icon={<Layers size={15} />}
          />
        )}
        {m.distributions.length > 0 && (
          <ShowMenu
            title="Histogram"
            items={m.distributions}
            chosen={shown.histograms}
            onChange={(histograms) => onShow({ histograms })}
            icon={<BarChart3 size={15} />}
          />
        )}
        <ShowMenu
          title="Readouts"
          items={m.channels}
          chosen={shown.readouts}
          onChange={(readouts) => onShow({ readouts })}
          icon={null}
        />
        <ShowMenu
          title="Graph"
          items={m.channels}
          chosen={shown.graphed}
          onChange={(graphed) => onShow({ graphed })}
          icon={<LineChart size={15} />}
        />
        <Button title="Picture only" onClick={() => onPictureOnly(true)}>
          <Expand size={15} />
          <span className="sr-only">Picture only</span>
        </Button>
        <Help at="bench" sign />
        <Button onClick={onProjector} aria-pressed={projector}>
          <Monitor size={15} />
          {projector ? 'Leave' : 'Projector'}
        </Button>
      </div>
    </header>
  );
});
