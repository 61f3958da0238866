import { Tick } from '../bench/ShowMenu';
import { Button } from '../ui';
import type { Offer } from './offers';

/** Several of what is offered, each by a tick; what isn't offered stands there to be taken away. */
export function Checks({
  name,
  about,
  offers,
  value,
  needed,
  usual,
  onChange,
}: {
  name: string;
  about?: string;
  offers: Offer[];
  value: unknown;
  needed: boolean;
  /** What stands in its place where nothing is chosen; empty: nothing does. */
  usual: string;
  onChange: (value: string[] | undefined) => void;
}) {
  const chosen = Array.isArray(value) ? value.map(String) : usual ? null : [];
  const all = [
    ...offers,
    ...(chosen ?? []).filter((id) => !offers.some((o) => o.id === id)).map((id) => ({ id, name: `${id} (unknown)` })),
  ];
  const words =
    chosen === null
      ? usual
      : chosen.length === 0
        ? 'none'
        : all
            .filter((o) => chosen.includes(o.id))
            .map((o) => o.name)
            .join(', ');
  if (all.length === 0) return null;
  return (
    <details className="rounded-house border px-3 py-2">
      <summary className="cursor-pointer">
        <span className="font-semibold">{name}</span> <span className="text-fine text-soft">{words}</span>
      </summary>
      <fieldset className="pt-2">
        <legend className="sr-only">{name}</legend>
        {about && <p className="pb-1 text-fine text-soft">{about}</p>}
        {chosen === null ? (
          <Button small onClick={() => onChange(offers.map((o) => o.id))}>
            Choose
          </Button>
        ) : (
          <>
            <div className="grid grid-cols-[repeat(auto-fill,minmax(14rem,1fr))] gap-x-4 gap-y-1">
              {all.map((o) => (
                <Tick
                  key={o.id}
                  name={o.name}
                  on={chosen.includes(o.id)}
                  onTick={(on) => {
                    const next = on ? [...chosen, o.id] : chosen.filter((id) => id !== o.id);
                    onChange(next.length || usual || needed ? next : undefined);
                  }}
                />
              ))}
            </div>
            {usual && !needed && (
              <Button small kind="quiet" className="mt-1" onClick={() => onChange(undefined)}>
                Don’t choose: {usual}
              </Button>
            )}
          </>
        )}
      </fieldset>
    </details>
  );
}
