import type { Schemas } from '../api/client';

export type Told = Schemas['BenchView'];

/** What is heard of who looks on: whether the teacher follows, and for the teacher how the student's bench stands. */
export class Looking {
  private now: { followed: boolean; bench?: Told | null } = { followed: false };
  private readonly heard = new Set<() => void>();

  hear = (now: Schemas['WorkNow']) => {
    // What is told again as it was is no news.
    const same = JSON.stringify(now.bench) === JSON.stringify(this.now.bench);
    this.now = { followed: now.followed, bench: same ? this.now.bench : now.bench };
    this.heard.forEach((h) => h());
  };
  followed = () => this.now.followed;
  bench = () => this.now.bench ?? null;
  /** Which bench the student has in front. */
  block = () => this.now.bench?.block ?? null;

  subscribe = (heard: () => void) => {
    this.heard.add(heard);
    return () => this.heard.delete(heard);
  };
}
