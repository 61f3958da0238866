/** What only a teacher sees in a student's work; pages fetch it when one looks. */
export { MarkForm } from './MarkForm';
export { Reopen } from './Reopen';
export { Tries } from './Tries';
export { TryNote } from './TryNote';
