/**
 * A name as it stands within a sentence: it begins small, unless its first word is a formula, a symbol or an
 * abbreviation, which would mean something else then: CaO, H₂, HI.
 */
export function inSentence(name: string) {
  const [first] = name.split(' ');
  const isWord = first.length === 1 ? first === 'A' : /^\p{Lu}[\p{Ll}\p{Pd}’',.]+$/u.test(first);
  return isWord ? name[0].toLowerCase() + name.slice(1) : name;
}
