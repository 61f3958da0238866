interface Section {
  id: string;
  title: string;
  html: string;
}
export interface Guide {
  id: string;
  title: string;
  sections: Section[];
}

/** A passage of a guide, and whether its words hold all that is looked for. */
export interface Passage extends Section {
  guide: string;
  key: string;
  text: string;
}

export function passagesOf(guides: Guide[]): Passage[] {
  return guides.flatMap((g) =>
    g.sections.map((s) => ({
      ...s,
      guide: g.title,
      key: `${g.id}/${s.id}`,
      text: (new DOMParser().parseFromString(s.html, 'text/html').body.textContent ?? '').replace(/\s+/g, ' '),
    })),
  );
}

/** Those that hold every word looked for, however it goes on. */
export function found(passages: Passage[], words: string) {
  const all = wanted(words);
  return passages.filter((p) => all.every((w) => `${p.title} ${p.text}`.toLowerCase().includes(w)));
}

function wanted(words: string) {
  return words.toLowerCase().split(/\s+/).filter(Boolean);
}

const AROUND = 45;

/** A few words of a passage around the first that was looked for; its beginning if only the heading has it. */
export function snippet({ text }: Passage, words: string) {
  const at = Math.max(0, text.toLowerCase().indexOf(wanted(words)[0] ?? ''));
  const from = at <= AROUND ? 0 : text.indexOf(' ', at - AROUND) + 1;
  return `${from > 0 ? '… ' : ''}${text.slice(from, at + 2 * AROUND)} …`;
}
