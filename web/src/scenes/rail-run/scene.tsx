import type { SceneOf } from '../../picture/picture';
import { RailRunScene } from './RailRunScene';

export default { Drawing: RailRunScene } satisfies SceneOf<'rail-run'>;
