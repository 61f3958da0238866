type Told<T> = Promise<T> & { status?: 'fulfilled'; value?: T };

/**
 * Makes of something that is fetched by name one that is fetched once. A fetch that failed stays failed until the page
 * is loaded again: whoever draws with it would ask anew at each drawing, without an end and without a word.
 *
 * What has come is written on the promise, where React's `use` looks first. Otherwise it shows what it shows while
 * something is fetched, although it is here, and for a third of a second at least.
 */
export function once<T>(load: (name: string) => Promise<T>): (name: string) => Promise<T> {
  const fetched = new Map<string, Promise<T>>();
  return (name) => {
    const known = fetched.get(name);
    if (known) return known;
    const asked: Told<T> = load(name);
    fetched.set(name, asked);
    asked.then(
      (value) => Object.assign(asked, { status: 'fulfilled', value }),
      () => undefined,
    );
    return asked;
  };
}
