import { use } from 'react';
import { manifestOf } from '../core';
import { sceneOf } from './index';

/** What an apparatus declares, and its drawing; whoever asks waits until both are here. */
export function useApparatus(id: string) {
  const [manifest, scene] = [manifestOf(id), sceneOf(id)];
  return { m: use(manifest), scene: use(scene) };
}

/** The same, to be waited for: fetched before it is needed, as the network may be gone later. */
export const apparatusCode = (id: string): Promise<unknown>[] => [manifestOf(id), sceneOf(id)];
