import type { SceneOf } from '../../picture/picture';
import { ReflexTimerScene } from './ReflexTimerScene';

export default { Drawing: ReflexTimerScene } satisfies SceneOf<'reflex-timer'>;
