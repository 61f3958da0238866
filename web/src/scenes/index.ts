import { once } from '../core/once';
import type { Scene } from '../picture/picture';

/** The drawing of every apparatus, fetched where it is shown: a folder here named like its id. */
const files = import.meta.glob<{ default: Scene }>('./*/scene.tsx');
const byId = new Map(Object.entries(files).map(([path, load]) => [path.split('/').at(-2)!, load]));

/** Ids that have a drawing. */
export const drawn = [...byId.keys()];
export const sceneOf = once((apparatus) => byId.get(apparatus)!().then((m) => m.default));
