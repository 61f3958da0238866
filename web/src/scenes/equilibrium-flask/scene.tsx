import type { SceneOf } from '../../picture/picture';
import { EquilibriumFlaskScene } from './EquilibriumFlaskScene';
import { paintParticles } from './particles';

export default { Drawing: EquilibriumFlaskScene, paint: paintParticles } satisfies SceneOf<'equilibrium-flask'>;
