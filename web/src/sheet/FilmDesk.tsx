import { useQuery } from '@tanstack/react-query';
import { memo, useCallback, useEffect, type ReactNode } from 'react';
import type { Schemas } from '../api/client';
import type { BlockOf } from '../core';
import { filmQuery, type FilmPlace } from '../films/film';
import { FilmBench } from '../films/FilmBench';
import type { Marker } from '../instruments/kind/state';
import type { InstrumentState } from '../instruments/kind/state';
import type { Journal, Slots } from '../notebook/journal';
import { notesOf } from '../notebook/notes';
import { EmptyBench } from '../picture/EmptyBench';
import { Trouble } from '../ui';
import { useLeaving, type Standing } from './standing';
import { nameOf, OnTheBench, TrialBar } from './TrialBar';

interface Props {
  block: BlockOf<'films'>;
  work: string;
  journal: Journal;
  /** What was written of this block. */
  slots: Slots[string] | undefined;
  trials: Schemas['TrialView'][];
  readOnly: boolean;
  place: FilmPlace;
  onPlace: (block: string, p: FilmPlace) => void;
  aside: boolean;
  note?: ReactNode;
  standing: Standing;
  onTake: (instrument: string) => void;
}

/** Recordings of a block: asked for, chosen, and measured on. Not drawn anew with every key typed beside it. */
export const FilmDesk = memo(function FilmDesk({
  block,
  work,
  journal,
  slots,
  trials,
  readOnly,
  place,
  onPlace,
  aside,
  note,
  standing,
  onTake,
}: Props) {
  const trial = trials.find((t) => t.id === place.trial) ?? (place.trial ? undefined : trials.at(-1));
  const view = block.views.includes(place.view) ? place.view : block.views[0];
  const film = useQuery({
    ...filmQuery(trial?.id ?? '', view),
    enabled: !!trial,
    placeholderData: (before) => before,
  });
  const slot = `markers/${trial?.id}/${view}` as const;
  const markers = (slots?.[slot] as { markers?: Marker[] } | undefined)?.markers ?? [];
  const tell = useCallback(
    (state: InstrumentState) =>
      standing.tell({
        state,
        reading: () => trial && { trial: trial.id, frame: state.frame, view, instruments: state.placing },
      }),
    [standing, trial, view],
  );
  const choose = (id: string) => onPlace(block.id, { ...place, trial: id, frame: 0 });
  const lies = <OnTheBench block={block} trials={trials} current={trial?.id ?? null} onChoose={choose} />;
  const ready = film.data && trial && !film.isPlaceholderData;
  useLeaving(standing);
  useEffect(() => {
    if (!ready) standing.tell(null);
  }, [ready, standing]);
  // Where the tray has the views, too, what lies on the bench is chosen above it.
  const besideTray = ready && (readOnly || block.views.length === 1);
  return (
    <div className="flex h-full flex-col">
      {!aside && !(readOnly && ready) && (
        <TrialBar
          block={block}
          work={work}
          settle={() => journal.settle()}
          trials={trials}
          readOnly={readOnly}
          onChoose={choose}
        >
          {!besideTray && lies}
        </TrialBar>
      )}
      <div className="min-h-0 flex-1">
        {ready ? (
          <FilmBench
            block={block}
            film={film.data}
            title={nameOf(block, trial)}
            place={{ ...place, trial: trial.id, view }}
            onPlace={(p) => onPlace(block.id, p)}
            markers={markers}
            onMarkers={(next) => {
              if (!readOnly) notesOf(journal, block).write(slot, { markers: next });
            }}
            aside={aside}
            lies={besideTray && lies}
            note={note}
            onState={tell}
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
});
