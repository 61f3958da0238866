import Papa from 'papaparse';

export const SEPARATORS = [
  { id: '\t', name: 'tab' },
  { id: ';', name: 'semicolon' },
  { id: ',', name: 'comma' },
];
export const MARKS = [
  { id: '.', name: 'point: 2.5' },
  { id: ',', name: 'comma: 2,5' },
];

/** Whether all numbers with a comma in them look like decimals rather than several values. */
export function guessSeparator(text: string): string {
  if (text.includes('\t')) return '\t';
  if (text.includes(';')) return ';';
  const lines = text.trim().split('\n');
  // One comma in each line may stand in a number or between two: a point elsewhere tells.
  return lines.every((l) => /^\s*[-−]?\d+(,\d+)?\s*$/.test(l)) && !text.includes('.') ? '\t' : ',';
}

export function guessMark(text: string): string {
  return guessSeparator(text) !== ',' && /\d,\d/.test(text) && !/\d\.\d/.test(text) ? ',' : '.';
}

/** Lines of cells in a text; decimals that are written with a comma get a point. */
export function cellsOf(text: string, separator: string, mark: string): string[][] {
  const read = Papa.parse<string[]>(text.replace(/\r\n?/g, '\n').replace(/\n+$/, ''), { delimiter: separator }).data;
  return mark === ','
    ? read.map((l) =>
        l.map((t) => (/^[-−+\d.,\s]+$/.test(t) ? t.replace(/(\d)\.(?=\d{3}\b)/g, '$1').replace(',', '.') : t)),
      )
    : read;
}
