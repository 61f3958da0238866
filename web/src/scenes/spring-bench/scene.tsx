import type { SceneOf } from '../../picture/picture';
import { SpringBenchScene } from './SpringBenchScene';

export default { Drawing: SpringBenchScene } satisfies SceneOf<'spring-bench'>;
