import type { Placing } from '../instruments/kind/state';
import type { Handle, Manifest } from '../core';
import type { Path } from '../instruments/kind/state';
import type { Picture } from '../picture/picture';

interface Header {
  rate: number;
  frames: number;
  width: number;
  height: number;
  scale: number;
  fineness: number;
  still: Record<string, number>;
  moving: string[];
  /** How many points each line has. */
  lines?: Record<string, number>;
  /** The kind of each body of a crowd, whose places are the line `crowd`. */
  kinds?: number[];
}

/** Stands where a line has no further point. */
const NOTHING = -32768;

/** What is looked at of a recording, and what lies on it. */
export interface FilmPlace {
  trial: string | null;
  view: string;
  frame: number;
  placing: Placing;
  /** What lies in the pictures of the other views. */
  elsewhere?: Record<string, Placing>;
}

/** A recording as it came: frames of places in the picture, nothing else. */
export class Film {
  constructor(
    readonly header: Header,
    private readonly body: Int16Array,
  ) {}

  /** Reads what the server sends: header length, header, frames. */
  static read(buffer: ArrayBuffer): Film {
    const length = new DataView(buffer).getUint32(0, true);
    const header = JSON.parse(new TextDecoder().decode(new Uint8Array(buffer, 4, length))) as Header;
    return new Film(header, new Int16Array(buffer.slice(4 + length)));
  }

  /** The picture of a frame. */
  picture(frame: number, m: Manifest): Picture {
    const { width, height, scale, fineness, still, moving, lines = {}, kinds = [] } = this.header;
    const flags = new Set(m.scene.filter((f) => f.kind === 'flag').map((f) => f.id));
    const raw = (field: string) => {
      const i = moving.indexOf(field);
      return i < 0 ? still[field] : this.body[frame * moving.length + i];
    };
    const bodies = kinds.flatMap((kind, k) => {
      const [x, y] = [raw(`crowd:${k}.x`), raw(`crowd:${k}.y`)];
      return x === NOTHING ? [] : [x / fineness / scale, (height - y / fineness) / scale, kind];
    });
    return {
      width,
      height,
      scale,
      ...(kinds.length && {
        crowd: { values: Float64Array.from(bodies), count: bodies.length / 3, left: 0, top: height / scale },
      }),
      curve: (id) => {
        let path = '';
        for (let k = 0; k < (lines[id] ?? 0); k++) {
          const [x, y] = [raw(`${id}:${k}.x`), raw(`${id}:${k}.y`)];
          if (x !== NOTHING) path += `${path ? 'L' : 'M'}${x / fineness} ${y / fineness}`;
        }
        return path;
      },
      words: (field) => m.scene.find((f) => f.id === field)!.words,
      get: (field) => (flags.has(field) ? raw(field) : raw(field) / fineness),
    };
  }

  /** The path of a part through the whole film, in picture elements. */
  path(handle: Handle): Path {
    const { moving, still, frames, fineness, rate } = this.header;
    const x = moving.indexOf(handle.xField);
    const y = moving.indexOf(handle.yField);
    const values = new Float64Array(2 * frames);
    for (let f = 0; f < frames; f++) {
      values[2 * f] = (x < 0 ? still[handle.xField] : this.body[f * moving.length + x]) / fineness;
      values[2 * f + 1] = (y < 0 ? still[handle.yField] : this.body[f * moving.length + y]) / fineness;
    }
    return { values, n: frames, interval: 1 / rate };
  }

  /** Film time of a frame in seconds. */
  time(frame: number) {
    return frame / this.header.rate;
  }

  get last() {
    return this.header.frames - 1;
  }
}

/** A recording in one view, asked for once: it never changes. */
export const filmQuery = (trial: string, view: string) => ({
  queryKey: ['film', trial, view],
  queryFn: () => fetchFilm(trial, view),
  staleTime: Infinity,
});

async function fetchFilm(trial: string, view: string): Promise<Film> {
  const answer = await fetch(`/api/trials/${trial}/film?view=${encodeURIComponent(view)}`);
  if (!answer.ok) throw new Error('The recording could not be fetched. Try again.');
  return Film.read(await answer.arrayBuffer());
}
