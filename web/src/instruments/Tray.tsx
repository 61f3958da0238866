import { inSentence } from '../core/words';
import { Plus } from 'lucide-react';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { printShort, type Instrument } from '../core';
import type { Laid } from './kind/kind';
import { kindOf } from './kinds';
import { laidOf, taken } from './placing';
import { placeInWords } from './words';
import type { InstrumentState } from './kind/state';

const GRADUATIONS = [1, 2, 5, 10];
/** An instrument speaks when it has come to rest for so long, in ms. */
const REST = 500;
/** More than these would hide the picture, and each other. */
const MOST_OF_ONE = 3;

/** Where the instrument that was moved last lies now, in words. */
function useSpoken({ tray, placing, picture }: InstrumentState) {
  const before = useRef(placing);
  const [spoken, setSpoken] = useState('');
  const say = useEffectEvent(() => {
    const was = before.current;
    before.current = placing;
    const both = [...Object.entries(was), ...Object.entries(placing)].filter(([, place]) => place);
    const moved = laidOf(tray, Object.fromEntries(both)).find(
      ({ laidAs }) => JSON.stringify(placing[laidAs]) !== JSON.stringify(was[laidAs]),
    );
    if (moved) setSpoken(placeInWords({ ...moved, place: placing[moved.laidAs] }, picture));
  });
  useEffect(() => {
    const timer = setTimeout(() => say(), REST);
    return () => clearTimeout(timer);
  }, [placing]);
  return spoken;
}

/** What can be taken: a strip above the picture, so that it covers nothing. */
export function Tray({
  state: s,
  children,
  note,
}: {
  state: InstrumentState;
  children?: React.ReactNode;
  note?: React.ReactNode;
}) {
  const spoken = useSpoken(s);
  if (s.tray.length === 0 && !children && !note) return null;
  const lying = laidOf(s.tray, s.placing);
  return (
    <fieldset className="flex flex-wrap items-center gap-x-1 border-b bg-sheet px-2 py-0.5">
      <legend className="sr-only">Instrument tray</legend>
      {children}
      {s.tray.map((i) => (
        <OnTray key={i.id} instrument={i} lying={lying.filter((l) => l.instrument.id === i.id)} state={s} />
      ))}
      {lying
        .filter(({ instrument }) => kindOf(instrument).graduated)
        .map((laid) => (
          <Graduation key={laid.laidAs} laid={laid} state={s} />
        ))}
      {!s.readOnly &&
        lying.map(({ laidAs, instrument, name, place }) => {
          const { Lay } = kindOf(instrument);
          return (
            Lay && (
              <Lay
                key={laidAs}
                place={place}
                name={name}
                onMove={(to) => s.setPlacing({ ...s.placing, [laidAs]: to })}
              />
            )
          );
        })}
      {note}
      <span className="sr-only" role="status">
        {spoken}
      </span>
    </fieldset>
  );
}

const BUTTON =
  'flex items-center gap-1.5 rounded-house px-2 py-0.5 text-fine hover:bg-line/50 aria-pressed:font-semibold' +
  ' aria-pressed:text-copper';

/** An instrument, taken or put back; where several may lie, each has its button, and one more is offered. */
function OnTray({ instrument: i, lying, state: s }: { instrument: Instrument; lying: Laid[]; state: InstrumentState }) {
  const { Icon } = kindOf(i);
  const take = () => s.setPlacing(taken(i, s.placing, s.picture, s.frame));
  return (
    <>
      {lying.length === 0 ? (
        <button type="button" aria-pressed={false} onClick={take} disabled={s.readOnly} className={BUTTON}>
          <Icon />
          {i.name}
        </button>
      ) : (
        lying.map((laid) => (
          <button
            key={laid.laidAs}
            type="button"
            aria-pressed
            onClick={() => s.setPlacing({ ...s.placing, [laid.laidAs]: undefined })}
            disabled={s.readOnly}
            className={BUTTON}
          >
            <Icon />
            {laid.name}
          </button>
        ))
      )}
      {i.several && lying.length > 0 && lying.length < MOST_OF_ONE && !s.readOnly && (
        <button
          type="button"
          className="rounded-house p-1 text-soft hover:bg-line/50 hover:text-ink"
          aria-label={`Another ${inSentence(i.name)}`}
          title={`Another ${inSentence(i.name)}`}
          onClick={take}
        >
          <Plus size={14} aria-hidden />
        </button>
      )}
    </>
  );
}

function Graduation({ laid, state: s }: { laid: Laid; state: InstrumentState }) {
  const { instrument: i, place, name, number, laidAs } = laid;
  return (
    <label className="flex items-center gap-1 text-fine text-soft">
      {number ? `${name} in` : 'graduated in'}
      <select
        aria-label={`${name} graduated in`}
        className="rounded-house border border-edge bg-sheet px-1 text-ink"
        value={String(place.division ?? 1)}
        disabled={s.readOnly}
        onChange={(e) => s.setPlacing({ ...s.placing, [laidAs]: { ...place, division: Number(e.target.value) } })}
      >
        {GRADUATIONS.map((g) => (
          <option key={g} value={g}>
            {printShort(g * i.division)} {i.unit}
          </option>
        ))}
      </select>
    </label>
  );
}
