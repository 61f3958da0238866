import type { SceneOf } from '../../picture/picture';
import { SwiftShotScene } from './SwiftShotScene';

export default { Drawing: SwiftShotScene } satisfies SceneOf<'swift-shot'>;
