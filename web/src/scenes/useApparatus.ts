import { use } from 'react';
import { manifestOf } from '../core';
import { sceneOf } from './index';

/** What an apparatus declares, and its drawing; whoever asks waits until both are here. */
export function useApparatus(id: string) {
  const [manifest, scene] = [manifestOf(id), sceneOf(id)];
  return { m: use(manifest), scene: use(scene) };
}

/** Waits for several, fetched together, so that nothing has to be fetched later when the network may be gone. */
export function useAllApparatus(ids: string[]) {
  const all = ids.map((id) => [manifestOf(id), sceneOf(id)] as const);
  all.forEach(([manifest, scene]) => {
    use(manifest);
    use(scene);
  });
}
