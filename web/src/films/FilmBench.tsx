import { useEffect, type ReactNode } from 'react';
import { type BlockOf, type Manifest } from '../core';
import { InstrumentLayer } from '../instruments/InstrumentLayer';
import { InstrumentStrip } from '../instruments/InstrumentStrip';
import { intoView } from '../instruments/placing';
import { snapPoints } from '../instruments/kind/snap';
import { Tray } from '../instruments/Tray';
import type { InstrumentState, Marker } from '../instruments/kind/state';
import { NO_LAYERS } from '../picture/picture';
import { Stage } from '../picture/Stage';
import { useApparatus } from '../scenes/useApparatus';
import type { Film, FilmPlace } from './film';
import { Player } from './Player';

interface Props {
  block: BlockOf<'films'>;
  film: Film;
  title: string;
  /** The view, the frame and what lies where, and how each is changed. */
  place: FilmPlace;
  onPlace: (p: FilmPlace) => void;
  markers: Marker[];
  onMarkers: (m: Marker[]) => void;
  /** Whether it is only to be looked at for now: no tray, no player. */
  aside: boolean;
  /** Which recording lies here, to choose another. */
  lies: ReactNode;
  /** Said over the picture, such as how a reading was made. */
  note?: ReactNode;
  /** Told the instruments' state once it is drawn. */
  onState: (s: InstrumentState) => void;
  /** Puts what a display shows into the selected cell. */
  onTake: (instrument: string) => void;
}

/** A recording on the bench: player, instruments, and nothing that gives a value away. */
export function FilmBench({
  block,
  film,
  title,
  place,
  onPlace,
  markers,
  onMarkers,
  aside,
  lies,
  note,
  onState,
  onTake,
}: Props) {
  const {
    m,
    scene: { Drawing, paint },
  } = useApparatus(block.apparatus);
  const { view, placing } = place;
  const frame = Math.min(place.frame, film.last);
  const go = (to: number) => onPlace({ ...place, frame: to });
  const picture = film.picture(frame, m);
  const state: InstrumentState = {
    tray: m.instruments.filter((i) => block.instruments.includes(i.id)),
    picture,
    placing,
    setPlacing: (p) => onPlace({ ...place, placing: p }),
    markers,
    setMarkers: onMarkers,
    frame,
    seconds: (f) => film.time(f),
    readOnly: false,
    path: m.handles.length ? () => film.path(m.handles[0]) : undefined,
  };
  useEffect(() => onState(state));
  const name = m.views.find((v) => v.id === view)?.name;
  return (
    <section className="flex h-full min-h-0 flex-col" aria-label="Recording">
      {!aside && (
        <Tray state={state} note={lies}>
          {block.views.length > 1 && <ViewSwitch m={m} views={block.views} place={place} onPlace={onPlace} />}
        </Tray>
      )}
      <div className="relative flex min-h-0 flex-1">
        <Stage
          picture={picture}
          label={`Recording: ${title}, ${name}`}
          className="flex-1"
          under={paint && picture.crowd ? (ctx, pixel) => paint(ctx, picture, NO_LAYERS, pixel) : undefined}
        >
          <g id="film-content">
            <Drawing picture={picture} layers={NO_LAYERS} view={view} />
          </g>
          <InstrumentLayer
            state={state}
            picture={picture}
            content="film-content"
            points={snapPoints(m, picture, markers, frame)}
          />
        </Stage>
        <div className="absolute bottom-2 left-2 flex max-w-[70%] flex-col items-start gap-1">
          {aside && <span className="rounded-house bg-sheet/80 px-2 text-fine text-soft">{title}</span>}
          {note}
        </div>
      </div>
      {!aside && (
        <>
          <InstrumentStrip state={state} onGo={go} onTake={onTake} />
          <Player m={m} film={film} frame={frame} onFrame={go} />
        </>
      )}
    </section>
  );
}

/** The views of a recording; they run in step. What lies in a view's picture stays there. */
function ViewSwitch({
  m,
  views,
  place,
  onPlace,
}: {
  m: Manifest;
  views: string[];
  place: FilmPlace;
  onPlace: (p: FilmPlace) => void;
}) {
  return (
    <div role="group" aria-label="View" className="mr-2 flex rounded-house border">
      {views.map((v) => (
        <button
          key={v}
          type="button"
          aria-pressed={v === place.view}
          onClick={() => onPlace(intoView(m.instruments, place, v))}
          className="rounded-house px-2.5 py-0.5 text-fine aria-pressed:bg-copper aria-pressed:text-on-copper"
        >
          {m.views.find((x) => x.id === v)?.name}
        </button>
      ))}
    </div>
  );
}
