import { queryOptions } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../api/client';

export type Judgement = Schemas['JudgementView'];

/** Whose table is held against what the apparatus showed: as it stands, or as it was handed in. */
export interface Judged {
  work: string;
  handIn?: string;
  /** Whether its student is still at it, so that it is looked at again and again. */
  underWay: boolean;
}

const AGAIN = 20_000;

/** A table held against what the apparatus showed. */
export const judgementQuery = ({ work, handIn, underWay }: Judged, block: string) =>
  queryOptions({
    queryKey: ['judgement', work, handIn, block],
    refetchInterval: underWay && AGAIN,
    queryFn: () =>
      ask(
        api.GET('/api/works/{workId}/tables/{block}/judgement', {
          params: { path: { workId: work, block }, query: handIn ? { handIn } : {} },
        }),
      ),
  });

/** What is to be looked at of a table, cell by cell. */
export function findingsOf(judgement: Judgement): Judgement['cells'] {
  return judgement.cells.filter((c) => c.fault || c.unlooked);
}

/** What is said of one cell in a word or two. */
export const VERDICTS: Record<string, string> = {
  'other-recording': 'Another recording',
  'power-of-ten': 'Power of ten',
  sign: 'Sign',
  miscounted: 'Miscounted',
  'laid-wrong': 'Instrument laid or set wrong',
  misread: 'Misread',
  off: 'Off',
  unreadable: 'Unreadable',
};

/** What is to be looked at in a table, by `row/column`, in words. */
export type Signs = ReadonlyMap<string, string>;
export const NONE: Signs = new Map();

export function signsOf(judgement: Judgement): Signs {
  return new Map(
    findingsOf(judgement).map((c) => [
      `${c.row}/${c.column}`,
      [c.unlooked && 'Typed without looking.', c.words].filter(Boolean).join(' '),
    ]),
  );
}
