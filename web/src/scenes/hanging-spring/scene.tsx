import type { SceneOf } from '../../picture/picture';
import { HangingSpringScene } from './HangingSpringScene';

export default { Drawing: HangingSpringScene } satisfies SceneOf<'hanging-spring'>;
