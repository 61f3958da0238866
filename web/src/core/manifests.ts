/** What every apparatus declares, a file each: a page fetches that of the apparatus it shows. */
import type { Manifest } from './index';
import index from './generated/apparatus/index.json';

/** Every apparatus there is, as lists show it. */
export const apparatusList = index as Pick<Manifest, 'id' | 'name' | 'summary' | 'topics'>[];

const files = import.meta.glob<{ default: unknown }>(['./generated/apparatus/*.json', '!**/index.json']);
const fetched = new Map<string, Promise<Manifest>>();

export function isApparatus(id: string) {
  return apparatusList.some((a) => a.id === id);
}
/** The manifest of an apparatus, fetched once; a fetch that failed is tried anew when it is asked for again. */
export function manifestOf(id: string): Promise<Manifest> {
  let manifest = fetched.get(id);
  if (!manifest) {
    manifest = files[`./generated/apparatus/${id}.json`]().then((m) => m.default as Manifest);
    manifest.catch(() => fetched.delete(id));
    fetched.set(id, manifest);
  }
  return manifest;
}
