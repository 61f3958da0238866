import type { SceneOf } from '../../picture/picture';
import { LiquidBridgeScene } from './LiquidBridgeScene';

export default { Drawing: LiquidBridgeScene } satisfies SceneOf<'liquid-bridge'>;
