import { createContext, use } from 'react';

/** Points and words of a mark as they were typed. */
export interface Typed {
  points: string;
  comment: string;
}

/**
 * What was typed and isn't kept yet, by question and answer: whoever goes to another answer, or has no network just
 * then, finds it there again.
 */
export const Drafts = createContext(new Map<string, Typed>());
export const useDrafts = () => use(Drafts);

const ofLabs = new Map<string, Map<string, Typed>>();

/** What isn't kept yet of a lab's marks; it is still there when its page was left for another and is opened again. */
export function draftsOf(assignment: string) {
  let drafts = ofLabs.get(assignment);
  if (!drafts) ofLabs.set(assignment, (drafts = new Map()));
  return drafts;
}
