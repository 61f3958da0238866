import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { posted } from '../api/client';
import type { BlockOf } from '../core';
import { Film, type FilmPlace } from '../films/film';
import { FilmBench } from '../films/FilmBench';
import { Select, Trouble } from '../ui';

const nothing = () => undefined;

/** A recording as one of the made-up students would have it, to be played and measured. */
export function MadeUpFilm({ labId, block, students }: { labId: string; block: BlockOf<'films'>; students: string[] }) {
  const [student, setStudent] = useState(0);
  const [chosen, setChosen] = useState<Record<string, string>>(() =>
    Object.fromEntries(block.choices.map((c) => [c.id, c.options[0].id])),
  );
  const [place, setPlace] = useState<FilmPlace>({ trial: null, view: block.views[0], frame: 0, placing: {} });
  const { data, error } = useQuery({
    queryKey: ['made-up-film', labId, block.id, student, chosen, place.view],
    queryFn: async () => {
      const body = JSON.stringify({ student, chosen, view: place.view });
      const made = await posted(`/api/drafts/${labId}/made-up/${block.id}/film`, 'application/json', body);
      return Film.read(await made.arrayBuffer());
    },
    staleTime: 0,
    gcTime: 0,
  });
  return (
    <div className="flex min-h-96 flex-col border">
      <div className="flex flex-wrap gap-3 border-b px-3 py-1.5">
        <Select
          label="Recording of"
          value={String(student)}
          onChange={(v) => setStudent(Number(v))}
          options={students.map((name, i) => ({ id: String(i), name }))}
        />
        {block.choices.map((c) => (
          <Select
            key={c.id}
            label={c.name}
            value={chosen[c.id]}
            onChange={(v) => setChosen({ ...chosen, [c.id]: v })}
            options={c.options}
          />
        ))}
      </div>
      <Trouble error={error} />
      {!data && !error && <p className="p-3 text-soft">Filming …</p>}
      {data && (
        <div className="min-h-0 flex-1">
          <FilmBench
            block={block}
            film={data}
            title={students[student]}
            place={place}
            onPlace={setPlace}
            markers={[]}
            onMarkers={nothing}
            aside={false}
            lies={null}
            onState={nothing}
            onTake={nothing}
          />
        </div>
      )}
    </div>
  );
}
