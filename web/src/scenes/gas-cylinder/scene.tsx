import type { SceneOf } from '../../picture/picture';
import { GasCylinderScene, paintMolecules } from './GasCylinderScene';

export default { Drawing: GasCylinderScene, paint: paintMolecules } satisfies SceneOf<'gas-cylinder'>;
