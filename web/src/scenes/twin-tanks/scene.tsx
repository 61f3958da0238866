import type { SceneOf } from '../../picture/picture';
import { TwinTanksScene } from './TwinTanksScene';

export default { Drawing: TwinTanksScene } satisfies SceneOf<'twin-tanks'>;
