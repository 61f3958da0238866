/** Explanations that are spoken: recorded in pieces, sent through a lost network, heard by teacher and student. */
export { Player, type Spoken } from './Player';
export { Speak } from './Speak';
export { postOf, settleVoices } from './pieces';
