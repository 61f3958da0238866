/** What every apparatus declares, a file each: a page fetches that of the apparatus it shows. */
import type { Manifest, Portrait } from './types';
import { once } from './once';
import index from './generated/apparatus/index.json';

export type { ApparatusId, ApparatusTypes } from './generated/apparatus/types';

/** Every apparatus there is, as lists show it. */
export const apparatusList = index as (Pick<Manifest, 'id' | 'name' | 'summary' | 'topics'> & {
  quantities: string[];
})[];

const files = import.meta.glob<{ default: unknown }>(['./generated/apparatus/*.json', '!**/index.json']);

export function isApparatus(id: string) {
  return apparatusList.some((a) => a.id === id);
}
/** How an apparatus looks in lists: its scene and its crowd through a frame, in metres. */
const portraits = import.meta.glob<{ default: unknown }>('./generated/portraits/*.json');
export const portraitOf = once((id) =>
  portraits[`./generated/portraits/${id}.json`]().then((m) => m.default as Portrait),
);

/** The manifest of an apparatus. */
export const manifestOf = once((id) => files[`./generated/apparatus/${id}.json`]().then((m) => m.default as Manifest));
