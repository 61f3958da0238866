import { readNumber, readUnit, type ColumnSpec } from '../core';

export interface Heading {
  name: string;
  symbol: string;
  unit: string;
}

/** Name, symbol and unit from the heading of somebody's table: “length L / cm”, “Time (s)”, “F [N]”. */
export function readHeading(text: string): Heading {
  const whole = text.trim().replace(/\s+/g, ' ');
  const found = /^(.+?) ?(?:\/ ?(.+)|\(([^()]+)\)|\[([^\]]+)\])$/.exec(whole);
  const unit = found ? (found[2] ?? found[3] ?? found[4]).trim() : '';
  const known = unit && !('error' in readUnit(unit));
  const name = known ? found![1] : whole;
  // A last word that is no more than a letter with its index is the symbol.
  const last = /^(.+) (\p{L}[_\p{No}]?[\p{L}\p{N}]?)$/u.exec(name);
  return { name: (last ? last[1] : name).slice(0, 40), symbol: last ? last[2] : '', unit: known ? unit : '' };
}

/** A column for what comes from a file: its symbol is its own, or the first letter that is free. */
export function freshColumn(heading: Heading, values: string[], taken: Set<string>): ColumnSpec {
  const filled = values.filter((v) => v.trim());
  const numbers = filled.filter((v) => !('error' in readNumber(v))).length;
  const letters = [...heading.name.replaceAll(/[^\p{L}]/gu, ''), ...'abcdhklmnpqruvwxyz'];
  let symbol = [heading.symbol, ...letters].find((s) => s && !taken.has(s)) ?? '';
  for (let n = 1; !symbol || taken.has(symbol); n++) symbol = `x_${n}`;
  taken.add(symbol);
  return {
    id: `c-${crypto.randomUUID().slice(0, 8)}`,
    name: heading.name || symbol,
    symbol,
    unit: heading.unit,
    kind: filled.length > 0 && numbers * 2 < filled.length ? 'label' : 'measured',
  };
}

/** Whether a first line stands above numbers rather than among them. */
export function looksLikeHeading(lines: string[][]): boolean {
  const isNumber = (t: string) => !!t.trim() && !('error' in readNumber(t));
  return (
    lines.length > 1 &&
    lines[0].some((t) => t.trim()) &&
    !lines[0].some(isNumber) &&
    lines.slice(1, 4).some((l) => l.some(isNumber))
  );
}
