/** What the core declares and answers, as the pages see it. */
import type { RunDoor } from './generated/bench';

export type SettingValue = number | string | boolean;
export type SettingValues = Record<string, SettingValue>;

interface SettingBase {
  id: string;
  name: string;
  group: string;
  live: boolean;
  shownWhen: string;
}
export interface AmountSetting extends SettingBase {
  type: 'amount';
  symbol: string;
  unit: string;
  min: number;
  max: number;
  step: number;
  initial: number;
  whole: boolean;
  /** What whoever sets it should know; may be empty. */
  note: string;
}
export interface ChoiceSetting extends SettingBase {
  type: 'choice';
  options: { id: string; name: string }[];
  initial: string;
}
export interface SwitchSetting extends SettingBase {
  type: 'switch';
  initial: boolean;
}
export type Setting = AmountSetting | ChoiceSetting | SwitchSetting;

export interface Channel {
  id: string;
  symbol: string;
  name: string;
  unit: string;
  typicalMin: number;
  typicalMax: number;
  figures: number;
  perSi: number;
  account?: 'kinetic' | 'potential' | 'elastic' | 'thermal' | 'total';
}
export interface Distribution {
  id: string;
  symbol: string;
  name: string;
  unit: string;
  typicalMax: number;
  populations: string[];
  marks: string[];
  /** How many decimals the marked values are written with. */
  decimals: number;
  /** What is counted, in the plural; what all populations are called together. */
  counted: string;
  together: string;
  /** What the followed one is called, and the layer with which its value is marked; empty for none. */
  followed: string;
  followedOn: string;
  perSi: number;
}
export interface SceneField {
  id: string;
  kind: 'x' | 'y' | 'length' | 'flag';
  filmed: boolean;
}
export interface Act {
  id: string;
  name: string;
  shownWhen: string;
  /** Whether it is what to do next while it is possible. */
  leads: boolean;
}
export interface Layer {
  id: string;
  name: string;
  trail: string[];
  /** What has to be said beside the picture while it is shown. */
  note: string;
}
export interface Handle {
  id: string;
  name: string;
  xField: string;
  yField: string;
  radiusField: string;
}
export interface Manifest {
  id: string;
  modelVersion: number;
  name: string;
  summary: string;
  topics: string[];
  interval: number;
  speed: number;
  timeUnit: string;
  timePerSi: number;
  settings: Setting[];
  channels: Channel[];
  distributions: Distribution[];
  events: { id: string; name: string }[];
  /** With the width over the height of what each shows at first. */
  views: { id: string; name: string; aspect: number }[];
  scene: SceneField[];
  handles: Handle[];
  acts: Act[];
  layers: Layer[];
  instruments: string[];
  /** Which channel an instrument is hooked into here. */
  hooked: Record<string, string>;
  slips: string[];
}
export interface Instrument {
  id: string;
  name: string;
  shape: 'straight' | 'tape' | 'angular' | 'markers' | 'lens' | 'dynamometer' | 'clock' | 'gate' | 'gauge';
  unit: string;
  span: number;
  division: number;
  numbered: number;
  /** What a gauge shows. */
  channel: string;
  /** Metres for each unit of a straight scale. */
  metres: number;
}
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
