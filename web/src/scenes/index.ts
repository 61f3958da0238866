import type { ComponentType } from 'react';
import { once } from '../core/once';
import type { Paint, SceneProps } from './picture';

/** A drawing, and where there are too many bodies for it, what paints them below it. */
export interface Scene { Drawing: ComponentType<SceneProps>; paint?: Paint }

/** The drawing of every apparatus, by its id, fetched where it is shown. A new one adds its line here. */
const SCENES: Record<string, () => Promise<Scene>> = {
  pendulum: () => import('./pendulum/PendulumScene').then((m) => ({ Drawing: m.PendulumScene })),
  'hanging-spring': () => import('./hanging-spring/HangingSpringScene').then((m) => ({ Drawing: m.HangingSpringScene })),
  'gas-cylinder': () => import('./gas-cylinder/GasCylinderScene').then((m) => ({ Drawing: m.GasCylinderScene, paint: m.paintMolecules })),
  'propeller-glider': () => import('./propeller-glider/PropellerGliderScene').then((m) => ({ Drawing: m.PropellerGliderScene })),
};

export const sceneOf = once((apparatus) => SCENES[apparatus]());
