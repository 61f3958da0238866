import type { SceneOf } from '../../picture/picture';
import { VolumeBenchScene } from './VolumeBenchScene';

export default { Drawing: VolumeBenchScene } satisfies SceneOf<'volume-bench'>;
