import { useEffect, useEffectEvent } from 'react';

/** Whoever closes the page, or opens it anew, with something not kept yet is asked first. */
export function useAskToLeave(unkept: () => boolean) {
  const leave = useEffectEvent((e: BeforeUnloadEvent) => {
    if (unkept()) e.preventDefault();
  });
  useEffect(() => {
    const asked = (e: BeforeUnloadEvent) => leave(e);
    window.addEventListener('beforeunload', asked);
    return () => window.removeEventListener('beforeunload', asked);
  }, []);
}
