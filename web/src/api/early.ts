/**
 * What the page at this address is sure to ask for, asked for before anything else of the program runs. Each answer is
 * taken once; whoever comes later asks anew.
 */
const begun = new Map<string, Promise<Response>>();

export function askEarly(path: string) {
  const answer = fetch(path);
  // Whoever takes it hears of a failure; nobody may come.
  answer.catch(() => undefined);
  begun.set(new URL(path, location.origin).href, answer);
}

/** The answer to this that was asked for early, if nobody took it yet; what was refused then is asked anew. */
export function takeEarly(request: Request): Promise<Response> | undefined {
  if (request.method !== 'GET') return undefined;
  const answer = begun.get(request.url);
  begun.delete(request.url);
  // Whoever wasn't signed in then may be now.
  return answer?.then((a) => (a.ok ? a : fetch(request)));
}
