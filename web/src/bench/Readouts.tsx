import { inOwn, printFixed, type Manifest } from '../core';
import { Symbol } from '../ui';
import { channelName } from '../core/words';
import { isThere } from './words';

/** Chosen channels as large figures, one below the other or, `lying`, beside one another. */
export function Readouts({
  m,
  shown,
  values,
  bodies,
  lying,
}: {
  m: Manifest;
  shown: string[];
  values: Float64Array;
  /** What each body is called now. */
  bodies: string[];
  lying?: boolean;
}) {
  return (
    <dl className={lying ? 'flex flex-wrap gap-x-6' : 'flex flex-col'}>
      {m.channels.map(
        (c, i) =>
          shown.includes(c.id) &&
          isThere(m, c, bodies) && (
            <div
              key={c.id}
              className={`flex flex-wrap items-baseline justify-between gap-x-3 ${lying ? '' : 'border-b py-1.5'}`}
            >
              <dt className="text-fine text-soft">
                {channelName(m, c, bodies)}, <Symbol text={c.symbol} />
              </dt>
              <dd className="mono ml-auto text-lead font-semibold whitespace-nowrap" data-channel={c.id}>
                {Number.isNaN(values[i]) ? '–' : printFixed(inOwn(c, values[i]), c.figures)} {c.unit}
              </dd>
            </div>
          ),
      )}
    </dl>
  );
}
