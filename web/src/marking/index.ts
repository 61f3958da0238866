/** What only a teacher sees in a student's work, and what a handed-in one offers; pages fetch it when one looks. */
export { History } from './History';
export { MarkForm } from './MarkForm';
export { Nameless } from './Nameless';
export { Reopen } from './Reopen';
export { TakeBack } from './TakeBack';
export { TableJudged } from './TableJudged';
export type { Judged, Signs } from './judgement';
export { Tries } from './Tries';
export { TryNote } from './TryNote';
