import type { ComponentType } from 'react';
import type { ApparatusId, ApparatusTypes, Manifest } from '../core';

/** What a drawing is made from: places in picture elements, y downwards, from a live run or from a film. */
export interface Picture<Field extends string = string, Curve extends string = string> {
  width: number;
  height: number;
  /** Picture elements per metre. */
  scale: number;
  /** A scene field by its id, in picture elements; flags 0 or 1. */
  get(field: Field): number;
  /** What a field can stand for, where it is the place of one among some words. */
  words(field: Field): string[];
  /** A curve of the scene as a path, in picture elements; empty where it has no points. */
  curve(id: Curve): string;
  /** Bodies too many to name, for canvas: x, y and kind of each; places in metres, seen through the frame. */
  crowd?: { values: Float64Array; count: number; left: number; top: number };
}

/** The picture of a run, which knows where in the apparatus it looks: left, bottom, width and height in metres. */
export interface LivePicture extends Picture {
  frame: Float64Array;
}

/** Which of an apparatus's layers are to be drawn; none in a film. */
export interface Layers<Layer extends string = string> {
  has(layer: Layer): boolean;
}

/** Draws a crowd on a canvas that stands in picture elements; `pixel` is screen pixels for each of them. */
export type Paint<Field extends string = string, Layer extends string = string> = (
  ctx: CanvasRenderingContext2D,
  picture: Picture<Field>,
  layers: Layers<Layer>,
  pixel: number,
) => void;

export interface SceneProps<
  Field extends string = string,
  Layer extends string = string,
  View extends string = string,
  Curve extends string = string,
> {
  picture: Picture<Field, Curve>;
  layers: Layers<Layer>;
  /** Id of the view, where an apparatus has several. */
  view?: View;
}

/** A drawing, and where there are too many bodies for it, what paints them below it. */
export interface Scene {
  Drawing: ComponentType<SceneProps>;
  paint?: Paint;
}

type Of<A extends ApparatusId, What extends keyof ApparatusTypes[A]> = ApparatusTypes[A][What] & string;
/** The fields of an apparatus's scene, as it declares them. */
export type FieldOf<A extends ApparatusId> = Of<A, 'fields'>;
/** What the drawing of one apparatus is given: its own fields, layers and views, and no others. */
export type PropsOf<A extends ApparatusId> = SceneProps<
  Of<A, 'fields'>,
  Of<A, 'layers'>,
  Of<A, 'views'>,
  Of<A, 'curves'>
>;
/** What paints the crowd of one apparatus. */
export type PaintOf<A extends ApparatusId> = Paint<Of<A, 'fields'>, Of<A, 'layers'>>;
/** The scene of one apparatus. */
export interface SceneOf<A extends ApparatusId> {
  Drawing: ComponentType<PropsOf<A>>;
  paint?: PaintOf<A>;
}

/** Pictures no wider than this, for their height, leave room beside them on a wide screen. */
export const UPRIGHT = 1.35;

export const NO_LAYERS: Layers = new Set<string>();

const LONGER_SIDE = 1000;

/** A place in metres as a drawing's path takes it. */
export function inPicture(frame: Float64Array, scale: number, x: number, y: number) {
  return `${((x - frame[0]) * scale).toFixed(2)} ${((frame[1] + frame[3] - y) * scale).toFixed(2)}`;
}

/** A run's scene now, seen through a frame (left, bottom, width, height in metres). */
export function pictureOfRun(
  m: Manifest,
  scene: Float64Array,
  frame: Float64Array,
  crowd?: { values: Float64Array; count: number },
  curves: Float64Array[] = [],
): LivePicture {
  const scale = LONGER_SIDE / Math.max(frame[2], frame[3]);
  const index = new Map(m.scene.map((f, i) => [f.id, i]));
  return {
    width: frame[2] * scale,
    height: frame[3] * scale,
    scale,
    frame,
    crowd: crowd && { ...crowd, left: frame[0], top: frame[1] + frame[3] },
    curve(id) {
      const points = curves[m.curves.findIndex((c) => c.id === id)] ?? [];
      let d = '';
      for (let i = 0; i < points.length; i += 2)
        d += (i ? 'L' : 'M') + inPicture(frame, scale, points[i], points[i + 1]);
      return d;
    },
    words: (field) => m.scene[index.get(field)!].words,
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
export function toMetres({ frame, ...picture }: LivePicture, x: number, y: number) {
  return { x: frame[0] + x / picture.scale, y: frame[1] + frame[3] - y / picture.scale };
}
