import { useMemo, useState } from 'react';
import { isShown, type Manifest } from '../core';
import { replay } from '../core/models';
import { Dialog, Select } from '../ui';
import { ChannelGraph } from './ChannelGraph';
import type { KeptTrial } from './trials';
import { toldOutcomes } from '../core/words';
import { channelItems, nameOf, outcomeText, valueText } from './words';

/** Two trials: their settings side by side, a channel of both in one graph. */
export function CompareDialog({
  m,
  one,
  two,
  onClose,
}: {
  m: Manifest;
  one: KeptTrial;
  two: KeptTrial;
  onClose: () => void;
}) {
  const [channel, setChannel] = useState(m.channels[0].id);
  // Replayed from their recipes: the numbers are those of the day, to the last bit.
  const runs = useMemo(() => [one, two].map((t) => replay(t.recipe, t.until)), [one, two]);
  const settings = m.settings.filter((s) => isShown(s.shownWhen, one.settings) || isShown(s.shownWhen, two.settings));
  return (
    <Dialog open wide onClose={onClose} title="Two trials compared">
      <table className="mb-4 w-full border-collapse text-fine">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <th scope="col" className="py-1">
              Setting at the end
            </th>
            <th scope="col">{nameOf(one)}</th>
            <th scope="col">{nameOf(two)}</th>
          </tr>
        </thead>
        <tbody>
          {settings.map((s) => {
            const [a, b] = [one, two].map((t) => valueText(m, t.settings, s.id));
            return (
              <tr key={s.id} className={`border-b ${a !== b ? 'bg-wash font-semibold' : ''}`}>
                <th scope="row" className="py-0.5 text-left font-normal">
                  {s.name}
                </th>
                <td className="mono">{a}</td>
                <td className="mono">{b}</td>
              </tr>
            );
          })}
          {toldOutcomes(m).map((o) => {
            const [a, b] = [one, two].map((t) => outcomeText(o, t));
            return (
              <tr key={o.id} className={`border-b ${a !== b ? 'bg-wash font-semibold' : ''}`}>
                <th scope="row" className="py-0.5 text-left font-normal">
                  {o.name}
                </th>
                <td className="mono">{a}</td>
                <td className="mono">{b}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <Select label="Channel" value={channel} onChange={setChannel} options={channelItems(m, runs[0].bodies())} />
      <ChannelGraph m={m} run={runs[0]} behind={[runs[1]]} channels={m.channels.filter((c) => c.id === channel)} />
      <p className="text-fine text-soft">
        Thin line: {nameOf(one)}. Broad and faint: {nameOf(two)}.
      </p>
    </Dialog>
  );
}
