export const fitForm = () => import('./FitForm');
export const compare = () => import('../notebook/Compare');

/** Fetches what is asked for of fits before it is: once a lab is open, the network may go. */
export function fetchFits() {
  for (const load of [fitForm, compare]) load().catch(() => undefined);
}
