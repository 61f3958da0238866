import type { SceneOf } from '../../picture/picture';
import { ReactionBalanceScene } from './ReactionBalanceScene';

export default { Drawing: ReactionBalanceScene } satisfies SceneOf<'reaction-balance'>;
