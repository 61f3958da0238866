import type { SceneOf } from '../../picture/picture';
import { PropellerGliderScene } from './PropellerGliderScene';

export default { Drawing: PropellerGliderScene } satisfies SceneOf<'propeller-glider'>;
