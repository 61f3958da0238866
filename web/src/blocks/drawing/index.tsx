import { lazy } from 'react';
import type { BlockKind } from '../kind/kind';

const view = () => import('./View');
const load = () => Promise.all([view(), import('../../drawing/DrawingEditor')]);

/** Fetched with a lab that has one, its paper too: later the network may be gone. The others needn't wait for it. */
export const drawing: BlockKind<'drawing'> = { type: 'drawing', View: lazy(view), load };
