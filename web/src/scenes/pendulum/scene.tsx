import type { SceneOf } from '../../picture/picture';
import { PendulumScene } from './PendulumScene';

export default { Drawing: PendulumScene } satisfies SceneOf<'pendulum'>;
