import { inWords } from '../core/labForm';

/** Fields whose names on the sheet aren't a teacher's words. */
const SAID: Record<string, string> = {
  id: 'Name on the sheet',
  acts: 'What students may do',
  came: 'What the student’s trials came to',
  completeness: 'For having done everything, in per cent',
  constant: 'Value of a constant',
  cases: 'Cases',
  demonstration: 'Only for the teacher’s demonstration',
  distinctTrials: 'Different trials asked for',
  figures: 'Significant figures',
  fixed: 'Settings, the same in all recordings',
  following: 'What follows from the student’s table',
  found: 'Unit that was found',
  from: 'From',
  layers: 'Drawn over the picture',
  like: 'What it is like',
  markdown: 'Text',
  open: 'What students may change',
  own: 'A personal value of recordings',
  profiles: 'Curves of an instant',
  rate: 'Frames a second',
  readouts: 'Shown as figures',
  restsOn: 'Opens with the rows of',
  rows: 'Rows asked for',
  seconds: 'Length in seconds',
  scheme: 'What the points are for',
  set: 'Settings it stands for',
  setup: 'How it stands at first',
  spotCheck: 'Spot check: looked at for what is right',
  tableAt: 'Rows of its table at first',
  takes: 'Filled by “Into the notebook” with',
  to: 'To',
  tolerance: 'Tolerance, in the unit',
  tolerancePercent: 'Tolerance, in per cent',
  unitsAsked: 'Students find the units',
  within: 'Within',
  words: 'Fewest words',
};

/** What a field is called for whoever writes a lab. */
export const fieldName = (field: string) => SAID[field] ?? inWords(field);
