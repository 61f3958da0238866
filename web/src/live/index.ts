/** A class at work: what a lab's page is told while it is open; pages fetch it when they are idle. */
export { AtWork } from './AtWork';
export { Following } from './Following';
