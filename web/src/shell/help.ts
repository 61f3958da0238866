/** Where the guides speak of a place, as `guide/section`. A test holds these against the headings of docs/. */
export const HELP = {
  bench: 'for-teachers/show-apparatus',
  give: 'for-teachers/give-a-lab',
  write: 'for-teachers/write-a-lab',
  classes: 'for-teachers/your-classes',
  watch: 'for-teachers/watch-and-mark',
  live: 'for-teachers/watch-a-class-at-work',
  gradebook: 'for-teachers/gradebook',
  points: 'for-students/your-points',
  mark: 'for-teachers/mark-question-by-question',
  people: 'running/the-first-day',
  labs: 'for-students/join',
  parts: 'for-students/the-parts-of-a-lab',
  record: 'for-students/record',
  openBench: 'for-students/an-open-bench',
  answers: 'for-students/answers',
  graphs: 'notebook/graphs',
} as const;

export type HelpPlace = keyof typeof HELP;
