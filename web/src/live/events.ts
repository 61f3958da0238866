import { useEffect, useRef, useState } from 'react';

const FIRST_WAIT = 2000;
const LONGEST_WAIT = 60_000;

/**
 * Listens to server-sent events of one form. A network that goes and comes the browser mends by itself; what the server
 * refuses is asked again after a while that grows, since a server that starts anew refuses for a moment.
 *
 * @returns whether the page hears
 */
export function useEvents<T>(path: string | null, onEvent: (told: T) => void): boolean {
  const [hears, setHears] = useState(false);
  const latest = useRef(onEvent);
  useEffect(() => {
    latest.current = onEvent;
  });
  useEffect(() => {
    if (!path || !('EventSource' in window)) return;
    let source: EventSource;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let wait = FIRST_WAIT;
    const open = () => {
      source = new EventSource(path);
      source.onopen = () => {
        wait = FIRST_WAIT;
        setHears(true);
      };
      source.onmessage = (event: MessageEvent<string>) => latest.current(JSON.parse(event.data) as T);
      source.onerror = () => {
        setHears(false);
        if (source.readyState !== EventSource.CLOSED) return;
        timer = setTimeout(open, wait);
        wait = Math.min(LONGEST_WAIT, wait * 2);
      };
    };
    open();
    return () => {
      clearTimeout(timer);
      source.close();
    };
  }, [path]);
  return hears;
}
