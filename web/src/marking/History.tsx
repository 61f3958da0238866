import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { dayAndTime } from '../ui/dates';
import { Dialog, Trouble } from '../ui';

const DEEDS: Record<Schemas['DoneView']['deed'], string> = {
  HANDED_IN: 'handed it in',
  TAKEN_BACK: 'took it back',
  GIVEN_BACK: 'gave it back',
  MARKED: 'marked',
  OPENED: 'opened again',
};

/** What was done with a work besides writing in it, newest first; each hand-in can be looked at as it was. */
export function History({ work, onClose }: { work: string; onClose: () => void }) {
  const { data, error } = useQuery({
    queryKey: ['history', work],
    queryFn: () => ask(api.GET('/api/works/{workId}/history', { params: { path: { workId: work } } })),
    staleTime: 0,
    gcTime: 0,
  });
  return (
    <Dialog open onClose={onClose} title="History of this work" wide>
      <Trouble error={error} />
      {!data && !error && <p role="status">On its way …</p>}
      {data?.length === 0 && <p>It was not handed in yet, and nothing is marked.</p>}
      <ol className="flex flex-col">
        {data?.map((d, i) => (
          <li key={i} className="grid grid-cols-[9rem_minmax(0,1fr)] gap-3 border-t py-2">
            <span className="text-fine text-soft">{dayAndTime(d.at)}</span>
            <div>
              <p>
                <b>{d.by}</b> {DEEDS[d.deed]}
                {d.points != null && (
                  <>
                    : <b className="mono">{d.points}</b> {d.points === 1 ? 'point' : 'points'}
                  </>
                )}
                {d.handIn && (
                  <>
                    {' · '}
                    <Link to={`/work/${work}?handIn=${d.handIn}`} className="text-indigo underline" onClick={onClose}>
                      look at it as it was
                    </Link>
                  </>
                )}
              </p>
              {d.about && <p className="truncate text-fine text-soft">{d.about}</p>}
              {d.words && <p className="[overflow-wrap:anywhere] whitespace-pre-wrap">{d.words}</p>}
              {d.reason && <p className="[overflow-wrap:anywhere] whitespace-pre-wrap text-soft">Reason: {d.reason}</p>}
            </div>
          </li>
        ))}
      </ol>
    </Dialog>
  );
}
