/** The models, for a bench that runs here. Fetched only where one does. */
import * as door from './generated/bench.js';
import type {
  Advice,
  BoxPlots,
  Counted,
  Distribution,
  Failure,
  Follower,
  Recipe,
  Run,
  RunTable,
  SettingValue,
  SettingValues,
  TablePlan,
  TrialTable,
  TrialToTable,
} from './types';

/** `owner`: empty for the apparatus itself, else the id of its list or its act. */
export function checkSetting(
  apparatus: string,
  owner: string,
  setting: string,
  value: SettingValue,
  /** The settings it stands among, which may bound it. */
  among: SettingValues = {},
) {
  return door.checkSetting(apparatus, owner, setting, value, among) as { value: SettingValue } | Failure;
}
/** What a setting will bring about: from 0, hardly to be seen, to 1, it decides everything; and in words. */
export function forecast(apparatus: string, setting: string, values: SettingValues) {
  return door.forecast(apparatus, setting, values) as { share?: number; words?: string };
}
/** What people should know of a setting as things stand; where a press helps, what it sets. */
export function advice(apparatus: string, setting: string, values: SettingValues) {
  const told = door.advice(apparatus, setting, values) as Advice | Record<string, never>;
  return told.words ? (told as Advice) : undefined;
}
/** A list of things with one more. */
export function addItem(apparatus: string, setting: string, value: SettingValue) {
  return door.addItem(apparatus, setting, value) as { value: SettingValue } | Failure;
}
export function placed(apparatus: string, handle: string, x: number, y: number, settings: SettingValues) {
  return door.placed(apparatus, handle, x, y, settings) as SettingValues;
}
export function openRun(apparatus: string, settings: SettingValues, seed: number) {
  return door.openRun(apparatus, settings, seed) as Run;
}
/** Why a kept run can't be shown again here, in words; empty where it can. */
export const whyNotReplay = (recipe: Recipe) => door.whyNotReplay(recipe);
export function replay(recipe: Recipe, until: number) {
  return door.replay(recipe, until) as Run;
}
export function openFollower(apparatus: string) {
  return door.follower(apparatus) as Follower;
}
/** A run as rows. */
export function tableOf(run: Run, plan: TablePlan): RunTable | Failure {
  const answer = run.table(plan) as (Omit<RunTable, 'rows'> & { cells: string }) | Failure;
  if ('error' in answer) return answer;
  const lines = answer.cells.split('\n').slice(0, -1);
  return { columns: answer.columns, times: answer.times, rows: lines.map((line) => line.split('\t')) };
}
/** Trials as rows, of settings (`set.…`) and outcomes (`came.…`). */
export function trialTable(apparatus: string, trials: TrialToTable[], ids: string[]) {
  return door.trials(apparatus, trials, ids) as TrialTable | Failure;
}
/** The values of a distribution in several trials, side by side. */
export function boxPlots(
  apparatus: string,
  d: Distribution,
  trials: { name: string; recipe: Recipe; until: number }[],
) {
  return door.boxPlots(apparatus, d.id, trials) as BoxPlots | Failure;
}
export function median(numbers: number[]) {
  return door.median(Float64Array.from(numbers));
}
/** Places at which theory's curve beside a histogram is told, at least. */
const SMOOTH = 80;
export function countUp(
  run: Run,
  d: Distribution,
  index: number,
  population: number,
  width: number,
  bins: number,
  limit: number,
): Counted {
  // A curve of fewer places looks angular.
  const fine = Math.ceil(SMOOTH / bins);
  const a = run.histogram(index, population, width, bins, limit, fine);
  const marks = 3 + d.marks.length;
  const end = marks + bins * fine + 1;
  return {
    n: a[0],
    followed: a[1],
    shareAbove: a[2],
    marks: a.subarray(3, marks),
    curve: a.subarray(marks, end),
    counts: a.subarray(end),
  };
}
