/** Units, numbers and instruments, as the core reads and writes them. */
import * as door from './generated/notebook.js';
import type { Failure, Instrument, Manifest, SettingValues } from './types';

/** Whether something declared with `shownWhen` (`setting=value`) is to be shown now. */
export function isShown(shownWhen: string, values: SettingValues) {
  const [id, value] = shownWhen.split('=');
  return !shownWhen || value.split('|').includes(String(values[id]));
}
export function initialSettings(m: Manifest): SettingValues {
  return Object.fromEntries(m.settings.map((s) => [s.id, s.initial]));
}
/** A value in the unit something is declared in, from one in SI. */
export const inOwn = (declared: { perSi: number; zero: number }, si: number) => (si - declared.zero) * declared.perSi;
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
/**
 * How far a value read with some instruments may be off, in a column's unit; undefined where none measures that. The
 * graduation is how many of its smallest divisions a scale is divided in.
 */
export function uncertaintyOf(lying: { instrument: Instrument; graduation: number }[], columnUnit: string) {
  const answer = door.uncertainty(lying, columnUnit) as { instrument?: string; name?: string; text?: string } | Failure;
  return 'text' in answer && answer.text
    ? { instrument: answer.instrument!, name: answer.name!, text: answer.text }
    : undefined;
}
/** What an instrument shows, and how that is written in a column's unit. */
export function shownBy(instrument: Instrument, si: number, columnUnit: string) {
  return door.shown(instrument, si, columnUnit) as { text: string; unit: string; typed: string } | Failure;
}
/** Passages of a path through a beam by a time, and the last whole period to the last digit of a clock. */
export function lightGate(
  path: { values: Float64Array; n: number; interval: number },
  beam: { x1: number; y1: number; x2: number; y2: number },
  time: number,
  clock: Instrument,
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
    clock.division * clock.si,
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
/** How many different trials stand in the slots of a bench, as handing in counts them. */
export function trialsMade(slots: object) {
  return door.trialsMade(slots) as number;
}
export function readNumber(typed: string) {
  return door.readNumber(typed) as { value: number } | Failure;
}
export const printFixed = door.printFixed;
export const printShort = door.printShort;
export const countWords = door.words;
