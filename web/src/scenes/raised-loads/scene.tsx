import type { SceneOf } from '../../picture/picture';
import { RaisedLoadsScene } from './RaisedLoadsScene';

export default { Drawing: RaisedLoadsScene } satisfies SceneOf<'raised-loads'>;
