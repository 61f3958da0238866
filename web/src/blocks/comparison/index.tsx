import { lazy } from 'react';
import type { BlockKind } from '../kind/kind';

const load = () => import('./View');

/** Fetched with a lab that has one; the others needn't wait for it. */
export const comparison: BlockKind<'comparison'> = { type: 'comparison', View: lazy(load), load };
