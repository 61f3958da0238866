import { useCallback, useEffect, useEffectEvent, useRef, useState } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { useAskToLeave } from '../ui/useAskToLeave';
import type { Tree } from './tree';

type DraftView = Schemas['DraftView'];

/** How long nothing is typed before it is kept, in ms. */
const PAUSE = 900;
const MOST_BACK = 100;

/** A lab being written: what stands here, what of it is kept, and what the core says is wrong. */
export function useDraft(labId: string, opened: DraftView) {
  const [sheet, setSheet] = useState(opened.sheet as Tree);
  const [kept, setKept] = useState(opened);
  const [before, setBefore] = useState<Tree[]>([]);
  const [state, setState] = useState<'kept' | 'waiting' | 'keeping' | 'trouble'>('kept');
  const [error, setError] = useState<unknown>(null);
  // What stands here, what of it the server has, and what is on its way.
  const now = useRef({ sheet, there: sheet, kept, going: null as Promise<DraftView> | null });
  useEffect(() => {
    now.current.sheet = sheet;
    now.current.kept = kept;
  });

  const change = (next: Tree) => {
    if (next === sheet) return;
    setBefore([...before.slice(1 - MOST_BACK), sheet]);
    setSheet(next);
    setState('waiting');
  };
  const undo = () => {
    setSheet(before.at(-1)!);
    setBefore(before.slice(0, -1));
    setState('waiting');
  };
  const keep = useCallback(async () => {
    if (now.current.going) await now.current.going.catch(() => undefined);
    const sent = now.current.sheet;
    setState('keeping');
    setError(null);
    const going = ask(
      api.PUT('/api/drafts/{labId}', {
        params: { path: { labId } },
        body: { sheet: sent as Record<string, never>, seen: now.current.kept.number },
      }),
    );
    now.current.going = going;
    try {
      const answer = await going;
      now.current.kept = answer;
      now.current.there = sent;
      setKept(answer);
      setState(now.current.sheet === sent ? 'kept' : 'waiting');
      return answer;
    } catch (e) {
      setError(e);
      setState('trouble');
      throw e;
    } finally {
      now.current.going = null;
    }
  }, [labId]);
  const keepNow = useEffectEvent(() => void keep().catch(() => undefined));
  const keepAgain = useEffectEvent(() => state === 'trouble' && keepNow());
  useEffect(() => {
    const back = () => keepAgain();
    window.addEventListener('online', back);
    // Whoever goes to another page takes with them what was typed last.
    const { current } = now;
    return () => {
      window.removeEventListener('online', back);
      if (current.sheet !== current.there) void keep().catch(() => undefined);
    };
  }, [keep]);
  useEffect(() => {
    if (state !== 'waiting') return;
    const timer = setTimeout(() => keepNow(), PAUSE);
    return () => clearTimeout(timer);
  }, [state, sheet]);
  useAskToLeave(() => state !== 'kept');

  /** Does something with the lab as it is kept, and goes on from what comes back. */
  const take = async (act: () => Promise<DraftView>) => {
    setError(null);
    try {
      if (state !== 'kept') await keep();
      const answer = await act();
      now.current.kept = answer;
      setKept(answer);
      if (JSON.stringify(answer.sheet) !== JSON.stringify(now.current.sheet)) {
        setBefore([...before.slice(1 - MOST_BACK), now.current.sheet]);
        setSheet(answer.sheet as Tree);
        now.current.sheet = answer.sheet as Tree;
      }
      now.current.there = now.current.sheet;
      setState('kept');
    } catch (e) {
      setError(e);
    }
  };
  const path = { params: { path: { labId } } };
  return {
    sheet,
    kept,
    state,
    error,
    change,
    undo: before.length > 0 ? undo : undefined,
    /** Keeps what isn't yet; whether all is kept then. */
    settle: () =>
      state === 'kept'
        ? Promise.resolve(true)
        : keep().then(
            () => true,
            () => false,
          ),
    publish: () => take(() => ask(api.POST('/api/drafts/{labId}/versions', path))),
    back: (number: number) => take(() => ask(api.POST('/api/drafts/{labId}/back', { ...path, body: { number } }))),
  };
}

export type Draft = ReturnType<typeof useDraft>;
