import { useInfiniteQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import { dayAndTime } from '../ui/dates';
import { Shell } from '../shell/Shell';
import { Button, Trouble } from '../ui';

const A_PAGE = 100;

/** What was done with accounts and classes, newest first. */
export function ActsPage() {
  const { data, error, fetchNextPage, hasNextPage, isFetching } = useInfiniteQuery({
    queryKey: ['acts'],
    queryFn: ({ pageParam }) =>
      ask(api.GET('/api/admin/acts', { params: { query: pageParam ? { before: pageParam } : {} } })),
    initialPageParam: 0,
    getNextPageParam: (last) => (last.length === A_PAGE ? last.at(-1)!.seq : undefined),
  });
  const acts = data?.pages.flat() ?? [];
  return (
    <Shell>
      <h1 className="mb-5 text-title font-bold">What was done</h1>
      <Trouble error={error} />
      {!data && !error && <p className="text-soft">Opening …</p>}
      {data && acts.length === 0 && (
        <p>Nothing yet. Accounts made, secrets reset, students moved and classes changed are kept here for good.</p>
      )}
      {acts.length > 0 && (
        <table className="w-full rounded-house border bg-sheet text-left">
          <thead className="text-fine text-soft">
            <tr>
              {['When', 'Who', 'What'].map((h) => (
                <th key={h} scope="col" className="border-b px-4 py-2 font-semibold">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {acts.map((a) => (
              <tr key={a.seq} className="not-last:border-b">
                <td className="px-4 py-1.5 whitespace-nowrap text-soft">{dayAndTime(a.at)}</td>
                <td className="px-4">{a.who}</td>
                <td className="px-4">
                  {a.what} <b>{a.about}</b>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {hasNextPage && (
        <Button className="mt-4" disabled={isFetching} onClick={() => void fetchNextPage()}>
          Show older
        </Button>
      )}
    </Shell>
  );
}
