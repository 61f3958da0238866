import type { Run } from '../core';
import { ChannelGraph } from './ChannelGraph';
import { Bars } from './Bars';
import { CameTo } from './CameTo';
import { ProfileGraph } from './ProfileGraph';
import { Readouts } from './Readouts';
import { readoutsNow } from './words';
import type { BenchState } from './useBench';

export interface Shown {
  readouts: string[];
  /** Accounts shown as bars. */
  bars: string[];
  graphed: string[];
  layers: string[];
  histograms: string[];
  profiles: string[];
  /** What the graphs are drawn against: a channel, or time. */
  against: string;
  table: boolean;
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
          {shown.readouts.length > 0 && (
            <Readouts
              m={m}
              shown={readoutsNow(m, shown.readouts, run.bodies())}
              values={run.channels()}
              bodies={run.bodies()}
            />
          )}
          <CameTo m={m} run={run} />
          {shown.bars.map((ledger) => (
            <Bars key={ledger} m={m} run={run} ledger={ledger} />
          ))}
          {m.profiles
            .filter((p) => shown.profiles.includes(p.id))
            .map((p) => (
              <ProfileGraph key={p.id} m={m} run={run} profile={p} />
            ))}
        </section>
      ))}
      {units.map((u) => (
        <ChannelGraph
          key={u}
          m={m}
          run={live.sides[0].run}
          behind={[...live.sides.slice(1).map((s) => s.run), ...behind]}
          channels={chosen.filter((c) => c.unit === u)}
          against={shown.against}
        />
      ))}
      {behind.length > 0 && chosen.length > 0 && <p className="text-fine text-soft">Faint: the earlier trial.</p>}
      {two && chosen.length > 0 && <p className="text-fine text-soft">Full lines: bench A. Faint: bench B.</p>}
      {chosen.length === 0 && (
        <p className="text-fine text-soft">
          Under Graph, choose what to plot, and against what. It shows the whole run, also what is already past.
        </p>
      )}
    </aside>
  );
}
