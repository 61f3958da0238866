import type { Schemas } from '../api/client';

type LiveClass = Schemas['LiveClass'];

/** A class as it is known after an event: a whole one takes its place, else only the lines that are told. */
export function merged(known: LiveClass | undefined, told: LiveClass): LiveClass {
  if (told.whole || !known) return told;
  const lines = new Map(told.students.map((s) => [s.studentId, s]));
  return { ...told, whole: true, students: known.students.map((s) => lines.get(s.studentId) ?? s) };
}

/** What a student is called where names are hidden: a number that tells nothing of the name or the order of joining. */
export function numbered(students: Schemas['LiveLine'][]): Map<string, string> {
  const byChance = [...students].sort((a, b) => (a.studentId.slice(-12) < b.studentId.slice(-12) ? -1 : 1));
  return new Map(byChance.map((s, i) => [s.studentId, `Student ${i + 1}`]));
}

/** Who needs somebody: first who asked, the longest waiting first, then who shows a sign. */
export function needing(students: Schemas['LiveLine'][]) {
  const asked = students.filter((s) => s.call).sort((a, b) => (a.call!.askedAt < b.call!.askedAt ? -1 : 1));
  return { asked, stuck: students.filter((s) => !s.call && s.signs.length > 0) };
}
