import type { Finish } from '@leggero/core';
import type { Vec } from '@leggero/core/space';

export type { Vec } from '@leggero/core/space';

/** What a balloon is made of, as the eye has it. */
export interface Skin {
  hex: string;
  finish: Finish;
}

/** One balloon where it is. */
export interface SceneBalloon {
  /** Which size it is of. */
  key: string;
  /** Its place in the building order, from 0 up: what is built before it has a lower one. */
  step: number;
  at: Vec;
  widthMm: number;
  /** Its length over its width. */
  aspect: number;
  /** From its middle to its knot, of length 1. */
  neck: Vec;
  skin: Skin;
  /** The balloon that is seen inside it, where it is stuffed. */
  inner: Skin | null;
}

/** A pole, a hoop, a string, a handle: round and bent along a line. */
export interface SceneTube {
  line: readonly Vec[];
  widthMm: number;
  hex: string;
}

/** Something flat that lies in it, as a plate under a column. */
export interface SceneDisc {
  /** The middle of its lower side. */
  at: Vec;
  widthMm: number;
  highMm: number;
  hex: string;
}

/** Something round that is no balloon, as a leaf or a petal: dull, and longer or flatter along its axis. */
export interface SceneShape {
  at: Vec;
  widthMm: number;
  /** Its length along the axis over its width. */
  aspect: number;
  /** Of length 1. */
  axis: Vec;
  hex: string;
}

/** Where a piece stands. */
export interface SceneRoom {
  /** How high above the floor it is, mm, and that in words; null where none is known. */
  ceiling: { highMm: number; title: string } | null;
  /** Feet, or half metres, on the ruler. */
  unit: 'in' | 'cm' | 'mm';
}

/** All that is drawn of a piece, in space and to scale. The floor is at z = 0. */
export interface Scene {
  balloons: readonly SceneBalloon[];
  tubes: readonly SceneTube[];
  discs: readonly SceneDisc[];
  shapes?: readonly SceneShape[] | undefined;
  /** An outline that only keeps a place, as of a foil figure on top: how wide and from where to where, mm. */
  outline: { widthMm: number; fromMm: number; toMm: number } | null;
  /** With floor, wall, ruler and someone beside it; null for a small piece that is looked at by itself. */
  room: SceneRoom | null;
}

/** How far a scene reaches: from its axis to any side, across, to the back, and from its lowest point to its highest, mm. */
export interface Extent {
  reachMm: number;
  acrossMm: number;
  deepMm: number;
  lowMm: number;
  highMm: number;
}

const extents = new WeakMap<Scene, Extent>();

/** How far what is built of a scene reaches, without its room; reckoned once for each. */
export function extentOf(scene: Scene): Extent {
  const known = extents.get(scene) ?? reach(scene);
  extents.set(scene, known);
  return known;
}

function reach({ balloons, tubes, discs, shapes = [], outline }: Scene): Extent {
  const extent = { reachMm: 1, acrossMm: 1, deepMm: 1, lowMm: Infinity, highMm: -Infinity };
  const take = ([x, y, z]: Vec, sideMm: number, upMm: number) => {
    extent.reachMm = Math.max(extent.reachMm, Math.hypot(x, y) + sideMm);
    extent.acrossMm = Math.max(extent.acrossMm, Math.abs(x) + sideMm);
    extent.deepMm = Math.max(extent.deepMm, Math.abs(y) + sideMm);
    extent.lowMm = Math.min(extent.lowMm, z - upMm);
    extent.highMm = Math.max(extent.highMm, z + upMm);
  };
  for (const { at, widthMm, aspect, neck } of balloons) {
    const half = widthMm / 2;
    const long = (aspect - 1) * half;
    // Along its neck it is longer; so far it reaches to the side, and up.
    take(at, half + long * Math.hypot(neck[0], neck[1]), half + long * Math.abs(neck[2]));
  }
  for (const { line, widthMm } of tubes) for (const place of line) take(place, widthMm / 2, widthMm / 2);
  for (const { at, widthMm, highMm } of discs) {
    take(at, widthMm / 2, 0);
    take([at[0], at[1], at[2] + highMm], widthMm / 2, 0);
  }
  for (const { at, widthMm, aspect } of shapes)
    take(at, (widthMm * Math.max(1, aspect)) / 2, (widthMm * Math.max(1, aspect)) / 2);
  if (outline) {
    take([0, 0, outline.fromMm], outline.widthMm / 2, 0);
    take([0, 0, outline.toMm], outline.widthMm / 2, 0);
  }
  return extent.highMm < extent.lowMm ? { ...extent, lowMm: 0, highMm: 1 } : extent;
}

/** How many steps a scene is built in. */
export const stepsOf = ({ balloons }: Pick<Scene, 'balloons'>): number =>
  balloons.reduce((most, { step }) => Math.max(most, step + 1), 0);
