import type { ColumnSpec, SettingValues } from '../core';

/** An axis to sketch on; without from and to it bears no numbers. */
export interface SketchAxis { name: string; symbol: string; unit: string; from?: number; to?: number }
export interface SketchAsked { table: string; x: SketchAxis; y: SketchAxis }
/** What was sketched: strokes as x, y, x, y …, in shares of the axes. */
export interface Sketched { strokes: number[][] }

export type Block =
  | { type: 'text'; id: string; html: string }
  | { type: 'vocabulary'; id: string; terms: { term: string; meaning: string }[] }
  | { type: 'prediction'; id: string; prompt: string; choices: string[]; reasonPrompt: string; sketch?: SketchAsked }
  | { type: 'films'; id: string; apparatus: string; views: string[]; instruments: string[]; distinctTrials: number; choices: { id: string; name: string; options: { id: string; name: string }[] }[] }
  | { type: 'table'; id: string; title: string; columns: ColumnSpec[]; rows: number; unitsAsked: boolean; uncertaintiesHidden: boolean }
  | { type: 'bench'; id: string; apparatus: string; setup: SettingValues; open: string[]; readouts: string[]; layers: string[]; histograms: string[]; instruments: string[]; distinctTrials: number }
  | { type: 'graph'; id: string; table: string; line: boolean }
  | { type: 'number'; id: string; prompt: string; points: number; tries: number; restsOn: string }
  | { type: 'explanation'; id: string; prompt: string; words: number; points: number };
export type BlockOf<T extends Block['type']> = Extract<Block, { type: T }>;

export interface Part { id: string; kind: 'aim' | 'predict' | 'measure' | 'analyse' | 'explain'; title: string; blocks: Block[] }
export interface Sheet { title: string; summary: string; minutes: number; apparatus: string; points: number; parts: Part[] }

/** How many parts are open: up to and with the first one whose prediction isn't sealed yet. */
export function openParts(sheet: Sheet, sealed: (block: string) => boolean): number {
  const first = sheet.parts.findIndex((p) => p.blocks.some((b) => b.type === 'prediction' && !sealed(b.id)));
  return first < 0 ? sheet.parts.length : first + 1;
}
