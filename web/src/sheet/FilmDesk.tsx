import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../api/client';
import { fetchFilm } from '../films/film';
import { EmptyBench, FilmBench } from '../films/FilmBench';
import type { Marker, Placing } from '../instruments/placing';
import type { InstrumentState } from '../instruments/useInstruments';
import type { Journal } from '../notebook/journal';
import { Trouble } from '../ui';
import { nameOf, TrialBar } from './TrialBar';
import type { BlockOf } from '../core';

export interface FilmPlace {
  trial: string | null;
  view: string;
  frame: number;
  placing: Placing;
}

/** Recordings of a block: asked for, chosen, and measured on. */
export function FilmDesk({
  block,
  work,
  journal,
  trials,
  readOnly,
  place,
  onPlace,
  note,
  onState,
  onTake,
}: {
  block: BlockOf<'films'>;
  work: string;
  journal: Journal;
  trials: Schemas['TrialView'][];
  readOnly: boolean;
  place: FilmPlace;
  onPlace: (p: FilmPlace) => void;
  note?: React.ReactNode;
  onState: (s: InstrumentState) => void;
  onTake?: (instrument: string) => void;
}) {
  const trial = trials.find((t) => t.id === place.trial) ?? (place.trial ? undefined : trials.at(-1));
  const view = block.views.includes(place.view) ? place.view : block.views[0];
  const film = useQuery({
    queryKey: ['film', trial?.id, view],
    queryFn: () => fetchFilm(trial!.id, view),
    enabled: !!trial,
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  const slot = `markers/${trial?.id}/${view}`;
  const markers = (trial && journal.read<{ markers: Marker[] }>(block.id, slot)?.markers) || [];
  return (
    <div className="flex h-full flex-col">
      <TrialBar
        block={block}
        work={work}
        settle={() => journal.settle()}
        trials={trials}
        current={trial?.id ?? null}
        readOnly={readOnly}
        onChoose={(id) => onPlace({ ...place, trial: id, frame: 0 })}
      />
      <div className="min-h-0 flex-1">
        {film.data && trial && !film.isPlaceholderData ? (
          <FilmBench
            apparatus={block.apparatus}
            view={view}
            views={block.views}
            onView={(v) => onPlace({ ...place, trial: trial.id, view: v, placing: keepTime(place.placing) })}
            film={film.data}
            title={nameOf(block, trial)}
            frame={Math.min(place.frame, film.data.last)}
            onFrame={(frame) => onPlace({ ...place, trial: trial.id, frame })}
            placing={place.placing}
            onPlacing={(placing) => onPlace({ ...place, trial: trial.id, placing })}
            markers={markers}
            onMarkers={(next) => {
              if (!readOnly) journal.write(block.id, slot, { markers: next });
            }}
            tray={block.instruments}
            readOnly={false}
            note={note}
            onState={onState}
            onTake={onTake}
          />
        ) : (
          <EmptyBench>
            {film.isLoading || film.isPlaceholderData ? (
              'The recording is on its way …'
            ) : film.error ? (
              <Trouble error={film.error} />
            ) : readOnly ? (
              'No recording has been made.'
            ) : (
              'Choose above what to film, then ask for the recording.'
            )}
          </EmptyBench>
        )}
      </div>
    </div>
  );
}

/** In another view what lies on the picture lies elsewhere; only the stopwatch goes along. */
function keepTime(placing: Placing): Placing {
  return placing.stopwatch ? { stopwatch: placing.stopwatch } : {};
}
