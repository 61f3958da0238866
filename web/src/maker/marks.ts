/** A text with what is chosen in it. */
export interface Chosen {
  text: string;
  from: number;
  to: number;
}

/** What is chosen, between marks; taken out of them where they stand there already. */
export function between({ text, from, to }: Chosen, mark: string): Chosen {
  const n = mark.length;
  if (text.slice(from - n, from) === mark && text.slice(to, to + n) === mark)
    return { text: text.slice(0, from - n) + text.slice(from, to) + text.slice(to + n), from: from - n, to: to - n };
  return {
    text: text.slice(0, from) + mark + text.slice(from, to) + mark + text.slice(to),
    from: from + n,
    to: to + n,
  };
}

/** Every line of what is chosen begins with a mark; without it where all have it already. */
export function lines({ text, from, to }: Chosen, mark: (line: number) => string): Chosen {
  const begin = text.lastIndexOf('\n', from - 1) + 1;
  const end = text.indexOf('\n', to) < 0 ? text.length : text.indexOf('\n', to);
  const all = text.slice(begin, end).split('\n');
  const marked = all.every((l, i) => l.startsWith(mark(i)));
  const next = all.map((l, i) => (marked ? l.slice(mark(i).length) : mark(i) + l)).join('\n');
  return { text: text.slice(0, begin) + next + text.slice(end), from: begin, to: begin + next.length };
}

/** Something of its own, in the place of what is chosen. */
export function put({ text, from, to }: Chosen, words: string): Chosen {
  return { text: text.slice(0, from) + words + text.slice(to), from, to: from + words.length };
}
