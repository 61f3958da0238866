import type { Schemas } from '../api/client';
import type { apparatusList } from '../core';

export type LabView = Schemas['LabView'];
export type Listed = (typeof apparatusList)[number];

/** What a catalogue is looked through for; an empty word asks for nothing. */
export interface Wanted {
  words: string;
  topic: string;
  quantity: string;
  way: string;
  /** Minutes at most. */
  time: string;
}

export const ANYTHING: Wanted = { words: '', topic: '', quantity: '', way: '', time: '' };

function has(text: string, words: string) {
  const plain = text.toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => plain.includes(word));
}

/** Labs that fit; one has the topics and quantities of its apparatus. */
export function fittingLabs(labs: LabView[], all: Listed[], w: Wanted) {
  return labs.filter((lab) => {
    const on = all.find((a) => a.id === lab.apparatus);
    return (
      has([lab.title, lab.summary, on?.name, ...(on?.topics ?? [])].join(' '), w.words) &&
      (!w.topic || on?.topics.includes(w.topic)) &&
      (!w.quantity || on?.quantities.includes(w.quantity)) &&
      (!w.way || lab.ways.includes(w.way)) &&
      (!w.time || lab.minutes <= Number(w.time))
    );
  });
}

/** Apparatus that fit: by themselves, and where a way to work or a time is asked for, by one of their labs. */
export function fittingApparatus(labs: LabView[], all: Listed[], w: Wanted) {
  return all.filter((a) => {
    const own = labs.filter((lab) => lab.apparatus === a.id);
    const timed = own.filter((lab) => !w.time || lab.minutes <= Number(w.time));
    return (
      has([a.name, a.summary, ...a.topics, ...own.map((lab) => lab.title)].join(' '), w.words) &&
      (!w.topic || a.topics.includes(w.topic)) &&
      (!w.quantity || a.quantities.includes(w.quantity)) &&
      (!w.way || timed.some((lab) => lab.ways.includes(w.way))) &&
      (!w.time || timed.length > 0)
    );
  });
}

/** Every word that occurs, in alphabetical order. */
export function occurring(all: Listed[], of: (a: Listed) => string[]) {
  return [...new Set(all.flatMap(of))].sort((a, b) => a.localeCompare(b, 'en'));
}
