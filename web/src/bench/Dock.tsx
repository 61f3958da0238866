import type { Manifest, Run } from '../core';
import { ChannelGraph } from './ChannelGraph';
import { EnergyBars, Readouts } from './Readouts';
import type { BenchState } from './useBench';

export interface Shown {
  readouts: string[];
  bars: boolean;
  graphed: string[];
  layers: string[];
  histograms: string[];
}

/** What is read off the runs: figures, energy account, graphs of the whole run. */
export function Dock({ bench, shown, behind }: { bench: BenchState; shown: Shown; behind: Run[] }) {
  const { m, live } = bench;
  const two = live.sides.length > 1;
  const chosen = m.channels.filter((c) => shown.graphed.includes(c.id));
  const units = [...new Set(chosen.map((c) => c.unit))];
  return (
    <aside
      className="flex flex-col gap-2.5 overflow-auto border-l bg-sheet px-4 py-2"
      aria-label="Readings"
      tabIndex={0}
    >
      {live.sides.map(({ run }, i) => (
        <section key={i} className="flex flex-col gap-2">
          {two && <h2 className="font-bold">Bench {'AB'[i]}</h2>}
          {shown.readouts.length > 0 && <Readouts m={m} shown={shown.readouts} values={run.channels()} />}
          {shown.bars && hasAccount(m) && <EnergyBars m={m} values={run.channels()} largest={accountLargest(m, run)} />}
        </section>
      ))}
      {units.map((u) => (
        <ChannelGraph
          key={u}
          m={m}
          run={live.sides[0].run}
          behind={[...live.sides.slice(1).map((s) => s.run), ...behind]}
          channels={chosen.filter((c) => c.unit === u)}
        />
      ))}
      {behind.length > 0 && chosen.length > 0 && <p className="text-fine text-soft">Faint: the earlier trial.</p>}
      {two && chosen.length > 0 && <p className="text-fine text-soft">Full lines: bench A. Faint: bench B.</p>}
      {chosen.length === 0 && (
        <p className="text-fine text-soft">
          Under Graph, choose what to plot against time. It shows the whole run, also what is already past.
        </p>
      )}
    </aside>
  );
}

export function hasAccount(m: Manifest) {
  return m.channels.some((c) => c.account);
}

/** The largest part of the account so far, so that the bars keep one scale through the run. */
function accountLargest(m: Manifest, run: Run) {
  let most = 0;
  m.channels.forEach((c, i) => {
    if (!c.account) return;
    const samples = run.samples(i);
    for (let k = 0; k < run.sampleCount(); k++) most = Math.max(most, Math.abs(samples[k]));
  });
  return most;
}
