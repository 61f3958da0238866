import { openDB, type DBSchema } from 'idb';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Recipe, SettingValues } from '../core';
import type { Sketch } from './DrawOver';

/** One run of an open bench, kept with its recipe. */
export interface KeptTrial {
  id: string;
  number: number;
  name: string;
  note: string;
  at: string;
  recipe: Recipe;
  /** How far it was run, in model seconds. */
  until: number;
  /** The settings as they stood last. */
  settings: SettingValues;
  /** The scene when it was kept, for its small picture. */
  scene: number[];
  frame: number[];
  /** The lines of the scene, for its small picture, too. */
  curves?: number[][];
  /** What it came to, in the outcomes' own units. */
  outcomes?: Record<string, number>;
  sketches: Sketch[];
  removed?: boolean;
}

/** Where trials are kept: in a lab the notebook, on the teacher's bench this device. */
export interface TrialShelf {
  trials: KeptTrial[];
  keep(trial: KeptTrial): void;
  /** Why the history can't be kept, if it can't. */
  trouble?: string;
}

interface Stored extends KeptTrial {
  shelf: string;
}

interface Schema extends DBSchema {
  trials: { key: string; value: Stored; indexes: { shelf: string } };
}

const MOST_KEPT = 60;
// Earlier builds counted the same store as version 10.
const database = openDB<Schema>('cauldron-bench', 11, {
  upgrade(db) {
    if (!db.objectStoreNames.contains('trials'))
      db.createObjectStore('trials', { keyPath: 'id' }).createIndex('shelf', 'shelf');
  },
  blocking(_now, _next, event) {
    (event.target as IDBDatabase).close();
  },
});
// Whoever stores or reads hears of it, and says so.
database.catch(() => undefined);

async function store(trial: Stored, gone: string[]) {
  const tx = (await database).transaction('trials', 'readwrite');
  await Promise.all([tx.store.put(trial), ...gone.map((id) => tx.store.delete(id)), tx.done]);
}

/** Trials of one person with one apparatus, on this device. The oldest go when there are too many. */
export function useDeviceShelf(person: string, apparatus: string): TrialShelf {
  const shelf = `${person}/${apparatus}`;
  const [trials, setTrials] = useState<KeptTrial[]>([]);
  const [trouble, setTrouble] = useState<string | undefined>();
  const failed = useCallback(
    (e: unknown) => setTrouble(`This device can't store trials (${String(e)}). They last until the page is closed.`),
    [],
  );
  useEffect(() => {
    let here = true;
    void database
      .then((db) => db.getAllFromIndex('trials', 'shelf', shelf))
      .then((found) => {
        if (here)
          setTrials((now) =>
            [...found.filter((f) => !now.some((n) => n.id === f.id)), ...now].sort((a, b) => a.number - b.number),
          );
      })
      .catch(failed);
    return () => {
      here = false;
    };
  }, [shelf, failed]);
  const keep = useCallback(
    (trial: KeptTrial) => {
      setTrials((now) => {
        const next = [...now.filter((t) => t.id !== trial.id), trial].sort((a, b) => a.number - b.number);
        const gone = next.slice(0, Math.max(0, next.length - MOST_KEPT));
        void store(
          { ...trial, shelf },
          gone.map((t) => t.id),
        ).catch(failed);
        return next.slice(gone.length);
      });
    },
    [shelf, failed],
  );
  return useMemo(() => ({ trials, keep, trouble }), [trials, keep, trouble]);
}
