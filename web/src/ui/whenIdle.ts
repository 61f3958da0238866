/** A page that is always busy, with a film that plays, waits no longer than this many milliseconds. */
const AT_LATEST = 3000;
/** Where a browser can't tell that it rests, it has rested by then. */
const RESTED = 300;

/** Has something done when the page has nothing else to do. */
export function whenIdle(what: () => void) {
  if ('requestIdleCallback' in window) requestIdleCallback(what, { timeout: AT_LATEST });
  else setTimeout(what, RESTED);
}

/**
 * Fetches what may be asked for later, one after the other and each in a moment of rest, so that whoever types or drags
 * meanwhile doesn't feel it. What can't be had now is fetched when it is asked for.
 */
export function fetchAhead([first, ...rest]: (() => Promise<unknown>)[]) {
  if (!first) return;
  whenIdle(
    () =>
      void first()
        .catch(() => undefined)
        .then(() => fetchAhead(rest)),
  );
}
