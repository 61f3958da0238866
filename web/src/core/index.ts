/**
 * The one typed door to the core. Nothing outside this folder imports the compiled Java. What is here needs no model;
 * `models` has those, and only a live bench imports it.
 */
import * as door from './generated/notebook.js';
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
  perSi: number;
}
export interface SceneField {
  id: string;
  kind: 'x' | 'y' | 'length' | 'flag';
  filmed: boolean;
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
  views: { id: string; name: string }[];
  scene: SceneField[];
  handles: Handle[];
  acts: { id: string; name: string; shownWhen: string }[];
  layers: { id: string; name: string; trail: string[] }[];
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

export * from './sheets';
export * from './tables';
export * from './manifests';

export const instruments = door.instruments() as Instrument[];

/** Whether something declared with `shownWhen` (`setting=value`) is to be shown now. */
export function isShown(shownWhen: string, values: SettingValues) {
  const [id, value] = shownWhen.split('=');
  return !shownWhen || String(values[id]) === value;
}
export function initialSettings(m: Manifest): SettingValues {
  return Object.fromEntries(m.settings.map((s) => [s.id, s.initial]));
}
export function readUnit(text: string) {
  return door.readUnit(text) as { symbol: string; nice: string } | Failure;
}
/** Typed numbers said in another unit. */
export function convert(typed: string[], from: string, to: string, uncertainties = false) {
  return door.convert(typed, from, to, uncertainties) as { texts: string[] } | Failure;
}
/** A place on an axis in another unit. */
export function inUnit(value: number, from: string, to: string) {
  return door.inUnit(value, from, to) as { value: number } | Failure;
}
/** How far a value read with some instruments (`ruler:10` is graduated in ten divisions) may be off, in a column's unit; undefined where none measures that. */
export function uncertaintyOf(lying: string[], columnUnit: string) {
  const answer = door.uncertainty(lying, columnUnit) as { instrument?: string; name?: string; text?: string } | Failure;
  return 'text' in answer && answer.text
    ? { instrument: answer.instrument!, name: answer.name!, text: answer.text }
    : undefined;
}
/** What an instrument shows, and how that is written in a column's unit. */
export function shownBy(instrument: string, si: number, columnUnit: string) {
  return door.shown(instrument, si, columnUnit) as { text: string; unit: string; typed: string } | Failure;
}
/** Passages of a path through a beam by a time, and the last whole period. */
export function lightGate(
  path: { values: Float64Array; n: number; interval: number },
  beam: { x1: number; y1: number; x2: number; y2: number },
  time: number,
) {
  const [passages, period] = door.lightGate(
    path.values,
    path.n,
    path.interval,
    beam.x1,
    beam.y1,
    beam.x2,
    beam.y2,
    time,
  );
  return { passages, period };
}
/** A value held against another, in words; NaN for no uncertainty. */
export function compareValues(
  value: number,
  u: number,
  unit: string,
  reference: number,
  uReference: number,
  referenceUnit: string,
) {
  return door.compare(value, u, unit, reference, uReference, referenceUnit) as
    { differenceText: string; percentText: string; agree: boolean; words: string } | Failure;
}
/** How many of some settings differ, as the server counts them, too. */
export function distinct(settings: unknown[]) {
  return door.distinct(settings) as number;
}
export function readNumber(typed: string) {
  return door.readNumber(typed) as { value: number } | Failure;
}
export const printFixed = door.printFixed;
export const printShort = door.printShort;
export const countWords = door.words;
