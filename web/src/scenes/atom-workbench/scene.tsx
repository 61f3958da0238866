import type { SceneOf } from '../../picture/picture';
import { AtomWorkbenchScene } from './AtomWorkbenchScene';
import { paintChart } from './chart';

export default { Drawing: AtomWorkbenchScene, paint: paintChart } satisfies SceneOf<'atom-workbench'>;
