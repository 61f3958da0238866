/** What the core declares and answers, as the pages see it. */
import type { Drawing } from './drawings';
import type { Manifest } from './generated/apparatus/shapes';
import type { RunDoor } from './generated/bench';

export type { Instrument, Manifest, Portrait } from './generated/apparatus/shapes';

/** One of a list of things: values of its fields. */
export type ItemValues = Record<string, number | string | boolean>;
export type SettingValue = number | string | boolean | ItemValues[];
export type SettingValues = Record<string, SettingValue>;

export type Setting = Manifest['settings'][number];
export type AmountSetting = Extract<Setting, { type: 'amount' }>;
export type ItemsSetting = Extract<Setting, { type: 'items' }>;
export type Argument = Act['arguments'][number];
export type Outcome = Manifest['outcomes'][number];
/** A bench made ready for demonstrating one thing. */
export interface SetUp {
  id: string;
  name: string;
  about: string;
  recipe: Recipe;
  /** How far it was run, and the moment it is shown at. */
  until: number;
  at: number;
  shown: {
    readouts: string[];
    graphed: string[];
    against: string;
    bars: string[];
    profiles: string[];
    layers: string[];
    table: boolean;
  };
}
export type Profile = Manifest['profiles'][number];
export type Channel = Manifest['channels'][number];
export type Distribution = Manifest['distributions'][number];
export type Handle = Manifest['handles'][number];
export type Act = Manifest['acts'][number];
export type Action =
  | { type: 'change'; setting: string; value: SettingValue }
  | { type: 'grab'; handle: string }
  | { type: 'move'; x: number; y: number }
  | { type: 'letGo' }
  | { type: 'perform'; act: string; with?: Record<string, SettingValue> };
export type StopAt =
  | { type: 'time'; time: number }
  | { type: 'event'; event: string; count: number; before?: boolean }
  | { type: 'crossing'; channel: string; value: number }
  | { type: 'outcome'; outcome: string };
export interface Failure {
  error: string;
}
/** When a row of a run table is made, and what stands in it. */
export interface TablePlan {
  rows: 'interval' | 'events' | 'actions' | 'now' | 'profile';
  /** In the manifest's unit of time. */
  interval: number;
  events: string[];
  channels: string[];
  outcomes: string[];
  /** Whose values at each row stand in columns of their own. */
  settings: string[];
  /** The curve whose points are rows. */
  profile: string;
}
/** What people should know of a setting as things stand. */
export interface Advice {
  words: string;
  /** What a press that sets `change` says; empty for none. */
  button: string;
  change: SettingValues;
  /** Whether it has to be known before the run begins. */
  first: boolean;
}
/** A run as rows. */
export interface RunTable {
  columns: { id: string; name: string; symbol: string; unit: string; label: boolean }[];
  /** When each row was, in model seconds. */
  times: ArrayLike<number>;
  rows: string[][];
}
/** What a table of trials needs to know of each. */
export interface TrialToTable {
  name: string;
  settings: SettingValues;
  outcomes: Record<string, number>;
}
export interface TrialTable {
  columns: RunTable['columns'];
  rows: string[][];
  /** The same as numbers; NaN for words. */
  numbers: Float64Array[];
}
type Told =
  | 'drawing'
  | 'act'
  | 'stopAt'
  | 'back'
  | 'recipe'
  | 'settings'
  | 'settingsOfWhatRan'
  | 'recipeOfWhatRan'
  | 'profile'
  | 'bodies'
  | 'itemNames'
  | 'dragged'
  | 'point';
export type Run = Omit<RunDoor, Told> & {
  profile(which: number): { lines: { name: string; points: Float64Array }[]; mark: Float64Array };
  /** It now as a labelled drawing; without anything where it has none. */
  drawing(): Partial<Drawing>;
  /** What each body is called now; empty where it isn't there. */
  bodies(): string[];
  /** What each thing of a list is called now. */
  itemNames(setting: string): string[];
  dragged(
    act: string,
    which: number,
    x: number,
    y: number,
    otherwise: Record<string, SettingValue>,
  ): { action?: Action; words?: string };
  point(act: string, x: number, y: number): Partial<Failure>;
  act(action: Action): Partial<Failure>;
  stopAt(condition: StopAt): Partial<Failure>;
  recipe(): Recipe;
  settings(): SettingValues;
  settingsOfWhatRan(): SettingValues;
  recipeOfWhatRan(): Recipe;
  back(condition: StopAt): { found: boolean } | Failure;
};
/** A run that goes after another one, which somebody else has before them. */
export interface Follower {
  told(recipe: Recipe, time: number): Partial<Failure>;
  towards(time: number): void;
  goOn(most: number): { there: boolean } | Failure;
  run(): Run;
}
/** The values of one distribution in several trials, in its unit, and in words how they stand to those of the first. */
export interface BoxPlots {
  boxes: {
    name: string;
    values: ArrayLike<number>;
    count: number;
    least: number;
    lower: number;
    median: number;
    upper: number;
    most: number;
    mean: number;
    sd: number;
  }[];
  words: string[];
}
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
