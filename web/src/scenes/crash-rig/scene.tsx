import type { SceneOf } from '../../picture/picture';
import { CrashRigScene } from './CrashRigScene';

export default { Drawing: CrashRigScene } satisfies SceneOf<'crash-rig'>;
