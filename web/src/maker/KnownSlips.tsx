import { useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { api, ask, type Schemas } from '../api/client';
import { Trouble } from '../ui';
import type { Tree } from './tree';

type Slip = Schemas['KnownSlip'];

/** Slips that are known with the lab's apparatus, each to be taken into a key by one press. */
export function KnownSlips({
  apparatus,
  block,
  onChange,
}: {
  apparatus: string;
  block: Tree;
  onChange: (block: Tree) => void;
}) {
  const { data, error } = useQuery({
    queryKey: ['slips', apparatus],
    queryFn: () => ask(api.GET('/api/labs/slips/{apparatus}', { params: { path: { apparatus } } })),
    staleTime: Infinity,
  });
  const key = (block.key ?? {}) as Tree;
  const own = Array.isArray(key.slips) ? (key.slips as Tree[]) : [];
  const left = data?.filter((s) => !own.some((o) => o.hint === s.hint)) ?? [];
  if (left.length === 0) return <Trouble error={error} />;
  const take = ({ factor, outcome, hint }: Slip) =>
    onChange({ ...block, key: { ...key, slips: [...own, outcome ? { outcome, hint } : { factor, hint }] } });
  return (
    <details className="mt-4 rounded-house border px-3 py-2">
      <summary className="cursor-pointer">
        <span className="font-semibold">Slips that are known with this apparatus</span>{' '}
        <span className="text-fine text-soft">{left.length}, from the labs that ship</span>
      </summary>
      <ul className="flex flex-col gap-2 pt-2">
        {left.map((s, i) => (
          <li key={i} className="flex items-start gap-2">
            <button
              type="button"
              aria-label={`Take in: ${s.hint}`}
              className="mt-0.5 rounded-house border border-edge p-1 hover:border-ink"
              onClick={() => take(s)}
            >
              <Plus size={13} aria-hidden />
            </button>
            <span>
              {s.words}: {s.hint}
              <span className="block text-fine text-soft">asked there: {s.question}</span>
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
