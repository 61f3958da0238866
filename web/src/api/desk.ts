import { posted, Problem } from './client';

/** How long the row before a piece of work is; 0 once it is being done. */
export type Waiting = (place: number) => void;

interface Line {
  place?: number;
  done?: unknown;
  problem?: { status: number; detail: string; field?: string };
}

/**
 * The end of an answer that comes line by line: the place in the row each second, then what was made. Leaving ends
 * the work.
 */
async function atADesk(response: Response, waiting: Waiting): Promise<unknown> {
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  let text = '';
  for (;;) {
    const { done, value } = await reader.read().catch(() => {
      throw new Problem(0, "The server can't be reached just now. Check the network, then try again.");
    });
    text += value ?? '';
    const lines = text.split('\n');
    text = lines.pop()!;
    for (const line of lines) {
      const told = JSON.parse(line) as Line;
      if (told.place !== undefined) waiting(told.place);
      if (told.problem) throw new Problem(told.problem.status, told.problem.detail, told.problem.field);
      if ('done' in told) return told.done;
    }
    if (done) throw new Problem(0, 'The server broke off. Try again.');
  }
}

/** A PDF that takes the server a while. */
export async function askReport(path: string, body: unknown, waiting: Waiting, signal?: AbortSignal): Promise<Blob> {
  const { pdf } = (await atADesk(await posted(path, 'application/json', JSON.stringify(body), signal), waiting)) as {
    pdf: string;
  };
  return new Blob([Uint8Array.from(atob(pdf), (c) => c.charCodeAt(0))], { type: 'application/pdf' });
}

/** What the server makes of a file, or a {@link Problem}. */
export async function sendFile(path: string, file: File, waiting: Waiting, signal?: AbortSignal): Promise<unknown> {
  return atADesk(
    await posted(`${path}?name=${encodeURIComponent(file.name.slice(-100))}`, 'application/octet-stream', file, signal),
    waiting,
  );
}

/** A picture as a report takes it. */
export function base64(blob: Blob): Promise<string> {
  return new Promise((done, fail) => {
    const reader = new FileReader();
    reader.onload = () => done((reader.result as string).split(',')[1]);
    reader.onerror = () => fail(new Error('The picture of a graph could not be read.'));
    reader.readAsDataURL(blob);
  });
}
