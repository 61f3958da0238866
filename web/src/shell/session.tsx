import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { api, ask, type Schemas } from '../api/client';

export type Me = Schemas['MePerson'];

/** Who is signed in; `null` when nobody is, `undefined` while that isn't known yet. */
export function useMe(): Me | null | undefined {
  const { data } = useQuery({ queryKey: ['me'], queryFn: () => ask(api.GET('/api/me')), staleTime: Infinity });
  return data === undefined ? undefined : (data.person ?? null);
}

export function useSignOut() {
  const queries = useQueryClient();
  return useCallback(async () => {
    await ask(api.DELETE('/api/session'));
    queries.clear();
    location.assign('/');
  }, [queries]);
}
