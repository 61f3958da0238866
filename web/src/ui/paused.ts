import { useSyncExternalStore } from 'react';

let paused = false;
const listeners = new Set<() => void>();

/** Whether the class pauses: what runs on a bench stands still meanwhile, and goes on after it. */
export function setPaused(on: boolean) {
  if (on === paused) return;
  paused = on;
  listeners.forEach((l) => l());
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
};

export const usePaused = () => useSyncExternalStore(subscribe, () => paused);
