import type { SceneOf } from '../../picture/picture';
import { SpringTrolleyScene } from './SpringTrolleyScene';

export default { Drawing: SpringTrolleyScene } satisfies SceneOf<'spring-trolley'>;
