import type { SceneOf } from '../picture';
import { HangingSpringScene } from './HangingSpringScene';

export default { Drawing: HangingSpringScene } satisfies SceneOf<'hanging-spring'>;
