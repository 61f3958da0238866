import type { ComponentType } from 'react';
import { HangingSpringScene } from './hanging-spring/HangingSpringScene';
import { PendulumScene } from './pendulum/PendulumScene';
import type { SceneProps } from './picture';

/** The drawing of every apparatus, by its id. A new one adds its line here. */
const SCENES: Record<string, ComponentType<SceneProps>> = {
  pendulum: PendulumScene,
  'hanging-spring': HangingSpringScene,
};

export function sceneOf(apparatus: string): ComponentType<SceneProps> {
  return SCENES[apparatus];
}
