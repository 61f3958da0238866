import { askEarly } from '../api/early';
import { once } from '../core/once';

/** The page of a lab, fetched once. */
export const loadWorkPage = once(() => import('../sheet/WorkPage'));

// The first thing that runs: whoever comes straight to a lab waits for its page, for the server's word on who they are
// and for the work, and all three can be on their way while the rest of the program is still being read.
const work = /^\/work\/([\w-]+)$/.exec(location.pathname)?.[1];
if (work) {
  askEarly('/api/me');
  askEarly(`/api/works/${work}`);
}

/** Settled when the first page can be drawn: what React waits for while it draws, it shows a third of a second late. */
export const begun: Promise<unknown> = work ? loadWorkPage('').catch(() => undefined) : Promise.resolve();
