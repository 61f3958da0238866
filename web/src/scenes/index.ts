import type { ComponentType } from 'react';
import { GasCylinderScene, paintMolecules } from './gas-cylinder/GasCylinderScene';
import { HangingSpringScene } from './hanging-spring/HangingSpringScene';
import { PropellerGliderScene } from './propeller-glider/PropellerGliderScene';
import { PendulumScene } from './pendulum/PendulumScene';
import type { Paint, SceneProps } from './picture';

/** A drawing, and where there are too many bodies for it, what paints them below it. */
export interface Scene { Drawing: ComponentType<SceneProps>; paint?: Paint }

/** The drawing of every apparatus, by its id. A new one adds its line here. */
const SCENES: Record<string, Scene> = {
  pendulum: { Drawing: PendulumScene },
  'hanging-spring': { Drawing: HangingSpringScene },
  'gas-cylinder': { Drawing: GasCylinderScene, paint: paintMolecules },
  'propeller-glider': { Drawing: PropellerGliderScene },
};

export function sceneOf(apparatus: string): Scene {
  return SCENES[apparatus];
}
