/**
 * Makes of something that is fetched by name one that is fetched once. A fetch that failed stays failed until the page
 * is
 * loaded again: whoever draws with it would ask anew at each drawing, without an end and without a word.
 */
export function once<T>(load: (name: string) => Promise<T>): (name: string) => Promise<T> {
  const fetched = new Map<string, Promise<T>>();
  return (name) => {
    const known = fetched.get(name) ?? load(name);
    fetched.set(name, known);
    return known;
  };
}
