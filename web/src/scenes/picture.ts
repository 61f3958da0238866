import type { Manifest } from '../core';

/** What a drawing is made from: places in picture elements, y downwards, from a live run or from a film. */
export interface Picture {
  width: number;
  height: number;
  /** Picture elements per metre. */
  scale: number;
  /** A scene field by its id, in picture elements; flags 0 or 1. */
  get(field: string): number;
  /** Bodies too many to name, for canvas: x, y and kind of each; places in metres, seen through the frame. */
  crowd?: { values: Float64Array; count: number; left: number; top: number };
}

/** Draws a crowd on a canvas that stands in picture elements; `pixel` is screen pixels for each of them. */
export type Paint = (ctx: CanvasRenderingContext2D, picture: Picture, layers: ReadonlySet<string>, pixel: number) => void;

export interface SceneProps {
  picture: Picture;
  /** Ids of the manifest's layers to be drawn; none in a film. */
  layers: ReadonlySet<string>;
  /** Id of the view, where an apparatus has several. */
  view?: string;
}

export const NO_LAYERS: ReadonlySet<string> = new Set();

const LONGER_SIDE = 1000;

/** A run's scene now, seen through a frame (left, bottom, width, height in metres). */
export function pictureOfRun(m: Manifest, scene: Float64Array, frame: Float64Array, crowd?: { values: Float64Array; count: number }): Picture {
  const scale = LONGER_SIDE / Math.max(frame[2], frame[3]);
  const index = new Map(m.scene.map((f, i) => [f.id, i]));
  return {
    width: frame[2] * scale,
    height: frame[3] * scale,
    scale,
    crowd: crowd && { ...crowd, left: frame[0], top: frame[1] + frame[3] },
    get(field) {
      const i = index.get(field)!;
      const kind = m.scene[i].kind;
      if (kind === 'x') return (scene[i] - frame[0]) * scale;
      if (kind === 'y') return (frame[1] + frame[3] - scene[i]) * scale;
      return kind === 'length' ? scene[i] * scale : scene[i];
    },
  };
}

/** From a place in the picture back to metres. */
export function toMetres(picture: Picture, frame: Float64Array, x: number, y: number) {
  return { x: frame[0] + x / picture.scale, y: frame[1] + frame[3] - y / picture.scale };
}
