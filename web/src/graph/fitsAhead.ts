export const fitForm = () => import('./FitForm');
export const compare = () => import('../notebook/Compare');

/** What is asked for of fits, to be fetched before it is: once a lab is open, the network may go. */
export const fitsAhead = [fitForm, compare];
