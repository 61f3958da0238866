/** What the core declares and answers, as the pages see it. */
import type { Manifest } from './generated/apparatus/shapes';
import type { RunDoor } from './generated/bench';

export type { Instrument, Manifest, Portrait } from './generated/apparatus/shapes';

export type SettingValue = number | string | boolean;
export type SettingValues = Record<string, SettingValue>;

export type Setting = Manifest['settings'][number];
export type AmountSetting = Extract<Setting, { type: 'amount' }>;
export type Channel = Manifest['channels'][number];
export type Distribution = Manifest['distributions'][number];
export type Handle = Manifest['handles'][number];
export type Act = Manifest['acts'][number];
export type Action =
  | { type: 'change'; setting: string; value: SettingValue }
  | { type: 'grab'; handle: string }
  | { type: 'move'; x: number; y: number }
  | { type: 'letGo' }
  | { type: 'perform'; act: string };
export type StopAt =
  | { type: 'time'; time: number }
  | { type: 'event'; event: string; count: number }
  | { type: 'crossing'; channel: string; value: number };
export interface Failure {
  error: string;
}
export type Run = Omit<RunDoor, 'act' | 'stopAt' | 'back' | 'recipe' | 'settings'> & {
  act(action: Action): Partial<Failure>;
  stopAt(condition: StopAt): Partial<Failure>;
  recipe(): Recipe;
  settings(): SettingValues;
  back(condition: StopAt): { found: boolean } | Failure;
};
/** A histogram as the core counts it, in SI. */
export interface Counted {
  n: number;
  followed: number;
  shareAbove: number;
  marks: Float64Array;
  curve: Float64Array;
  counts: Float64Array;
}
export interface Recipe {
  apparatus: string;
  modelVersion: number;
  settings: SettingValues;
  seed: number;
  actions: { time: number; action: Action }[];
}
