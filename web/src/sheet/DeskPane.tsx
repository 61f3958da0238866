import { BookOpen, Maximize2 } from 'lucide-react';
import { use, type ReactNode } from 'react';
import type { BlockOf } from '../core';
import { once } from '../core/once';
import { Button } from '../ui';
import { Tabs } from './BenchTabs';

// Recordings need no models; a live bench brings them.
const benchModule = once(() => import('./LabBench'));
export const loadLabBench = () => benchModule('');

/** A live bench, once its models are here. */
export function LiveBench(props: React.ComponentProps<Awaited<ReturnType<typeof loadLabBench>>['LabBench']>) {
  const { LabBench } = use(loadLabBench());
  return <LabBench {...props} />;
}

export type Desk = BlockOf<'films'> | BlockOf<'bench'>;

/** The benches of a lab, one in front; put aside it is only looked at, and comes back at a press. */
export function DeskPane({
  desks,
  front,
  inUse,
  onFront,
  aside,
  fetched,
  onStance,
  children,
}: {
  desks: Desk[];
  front: Desk;
  /** The bench at which its student is now, for who looks on. */
  inUse: string | null;
  onFront: (id: string) => void;
  aside: boolean;
  /** Whether it was fetched back by hand in a part that looks at what was measured. */
  fetched: boolean;
  onStance: (stance: 'bench' | 'notebook') => void;
  children: ReactNode;
}) {
  return (
    <div className="flex h-full flex-col">
      <Tabs
        label="Benches"
        items={
          desks.length > 1
            ? desks.map((d, i) => ({ id: d.id, name: d.title || `Bench ${i + 1}`, inUse: d.id === inUse }))
            : []
        }
        current={front.id}
        onChoose={onFront}
      >
        {fetched && (
          <Button small kind="quiet" onClick={() => onStance('notebook')}>
            <BookOpen size={13} aria-hidden />
            Back to the notebook
          </Button>
        )}
      </Tabs>
      <div className="relative min-h-0 flex-1">
        {children}
        {aside && (
          <Button small className="absolute top-2 left-2" onClick={() => onStance('bench')}>
            <Maximize2 size={13} aria-hidden />
            To the bench
          </Button>
        )}
      </div>
    </div>
  );
}
