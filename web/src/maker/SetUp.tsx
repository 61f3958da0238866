import { useMemo, useState } from 'react';
import { BenchStage } from '../bench/BenchStage';
import { SettingsPanel } from '../bench/SettingsPanel';
import { Transport } from '../bench/Transport';
import type { KeptTrial, TrialShelf } from '../bench/trials';
import { useBench } from '../bench/useBench';
import { initialSettings, type SettingValue, type SettingValues } from '../core';
import { useApparatus } from '../scenes/useApparatus';
import { Button, Dialog, Trouble } from '../ui';

const SHOWN = new Set<string>();
const isPlain = (v: unknown) => !(typeof v === 'object' && v !== null && 'from' in v);

/** The bench itself, to be brought to where a step is to begin. */
export function SetUp({
  apparatus,
  setup,
  onUse,
  onClose,
}: {
  apparatus: string;
  setup: Record<string, unknown>;
  onUse: (setup: SettingValues) => void;
  onClose: () => void;
}) {
  const { m } = useApparatus(apparatus);
  const [trials, setTrials] = useState<KeptTrial[]>([]);
  const shelf = useMemo<TrialShelf>(
    () => ({ trials, keep: (t) => setTrials((all) => [...all.filter((o) => o.id !== t.id), t]) }),
    [trials],
  );
  // What isn't a setting of this apparatus, or is drawn from a range, can't stand on a bench.
  const usable = Object.fromEntries(
    Object.entries(setup).filter(([id, v]) => m.settings.some((s) => s.id === id) && isPlain(v)),
  ) as SettingValues;
  const bench = useBench(m, shelf, usable);
  const { settings } = bench.live.sides[0];
  const use = () => {
    const initial = initialSettings(m);
    const kept = m.settings.filter(
      (s) => s.id in usable || JSON.stringify(settings[s.id]) !== JSON.stringify(initial[s.id]),
    );
    onUse(Object.fromEntries(kept.map((s): [string, SettingValue] => [s.id, settings[s.id]])));
  };
  return (
    <Dialog open full onClose={onClose} title={`${m.name}: how it stands at first`}>
      <div className="flex min-h-0 flex-1 gap-4">
        <div className="flex min-w-0 flex-1 flex-col border">
          <div className="relative grid min-h-0 flex-1">
            <BenchStage bench={bench} side={0} layers={SHOWN} tool={null} />
          </div>
          <Trouble error={bench.trouble} />
          <Transport bench={bench} compact />
        </div>
        <div className="flex w-72 flex-col gap-3">
          <div className="min-h-0 flex-1 overflow-auto pr-2">
            <SettingsPanel m={m} values={settings} onChange={(id, v) => bench.change(0, id, v)} />
          </div>
          <p className="text-fine text-soft">
            Pull at the picture or set it here. The step begins with these settings, before anything has happened.
          </p>
          <Button kind="main" onClick={use}>
            Use this
          </Button>
        </div>
      </div>
    </Dialog>
  );
}
