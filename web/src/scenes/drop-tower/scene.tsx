import type { SceneOf } from '../../picture/picture';
import { DropTowerScene } from './DropTowerScene';

export default { Drawing: DropTowerScene } satisfies SceneOf<'drop-tower'>;
