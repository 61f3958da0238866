/**
 * The one typed door to the core. Nothing outside this folder imports the compiled Java. What is here needs no model;
 * `models` has those, and only a live bench imports it.
 */
export * from './types';
export * from './quantities';
export * from './sheets';
export * from './tables';
export * from './manifests';
export type * from './drawings';
