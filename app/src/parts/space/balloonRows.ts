import { linearOf, type Finish } from '@leggero/core';

import type { Scene, SceneBalloon, Vec } from './scene';

/** How each finish is told to the graphics hardware. */
const LOOKS: Record<Finish, number> = { matte: 0, pearl: 1, mirror: 2, clear: 3 };

/** Which of the looks beside plain matte a scene has, as its drawing program is told of them. */
export function looksIn({ balloons }: Pick<Scene, 'balloons'>): Record<string, ''> {
  const skins = balloons.flatMap(({ skin, inner }) => (inner ? [skin, inner] : [skin]));
  const finishes = new Set(skins.map(({ finish }) => finish));
  finishes.delete('matte');
  const names = [...finishes].map((finish) => finish.toUpperCase());
  if (balloons.some(({ inner }) => inner)) names.push('INNER');
  return Object.fromEntries(names.sort().map((name) => [`SEES_${name}`, '']));
}

/** Numbers of one balloon, four by four, in the order the drawing program reads them. */
export const ROW = ['place', 'neck', 'skin', 'inner', 'shade'] as const;
export type RowPart = (typeof ROW)[number];

/** What a balloon's outline says: nothing, that it is chosen, that it is the one that is off. */
export type Outline = 'none' | 'chosen' | 'wrong';
const OUTLINES: Record<Outline, number> = { none: 0, chosen: 1, wrong: 2 };

/** Of each scene reckoned once: another outline changes no shade. */
const shades = new WeakMap<Scene['balloons'], Vec[]>();

/** Balloons as rows of numbers, each part in an array of its own, from the first of the scene to its last. */
export function rowsOf(
  { balloons }: Pick<Scene, 'balloons'>,
  outlineOf: (balloon: SceneBalloon, i: number) => Outline,
): Record<RowPart, Float32Array> {
  const rows = Object.fromEntries(ROW.map((part) => [part, new Float32Array(4 * balloons.length)])) as Record<
    RowPart,
    Float32Array
  >;
  const shade = shades.get(balloons) ?? shadeOf(balloons);
  shades.set(balloons, shade);
  balloons.forEach((balloon, i) => {
    const { at, widthMm, neck, aspect, skin, inner } = balloon;
    rows.place.set([...at, widthMm / 2], 4 * i);
    rows.neck.set([...neck, aspect], 4 * i);
    rows.skin.set([...linearOf(skin.hex), LOOKS[skin.finish]], 4 * i);
    // Without one inside it the finish inside is none.
    rows.inner.set(inner ? [...linearOf(inner.hex), LOOKS[inner.finish]] : [0, 0, 0, -1], 4 * i);
    rows.shade.set([...shade[i]!, OUTLINES[outlineOf(balloon, i)]], 4 * i);
  });
  return rows;
}

/** A neighbour farther away than this many times its reach takes no light. */
const NEAR = 1.35;

/**
 * For every balloon where its neighbours stand, as one direction: the side that they shade, the longer the darker, up
 * to 1.
 */
export function shadeOf(balloons: readonly Pick<SceneBalloon, 'at' | 'widthMm'>[]): Vec[] {
  const near = neighboursIn(balloons);
  return balloons.map((balloon) => {
    const { at, widthMm } = balloon;
    const sum: [number, number, number] = [0, 0, 0];
    for (const other of near(at)) {
      if (other === balloon) continue;
      const [x, y, z] = [other.at[0] - at[0], other.at[1] - at[1], other.at[2] - at[2]];
      const away = Math.hypot(x, y, z);
      if (away === 0 || away > (NEAR * (widthMm + other.widthMm)) / 2) continue;
      // As much of the sky as the other covers: the solid angle of a ball, by its radius over its distance.
      const covers = Math.min(1, (other.widthMm / 2 / away) ** 2);
      sum[0] += (x / away) * covers;
      sum[1] += (y / away) * covers;
      sum[2] += (z / away) * covers;
    }
    const long = Math.hypot(...sum);
    const by = long > 1 ? 1 / long : 1;
    return [sum[0] * by, sum[1] * by, sum[2] * by];
  });
}

/** One number for a cell; nothing is built of more cells than this to a side. */
const SIDE = 8192;
const keyOf = (x: number, y: number, z: number): number => (x * SIDE + y) * SIDE + z;

/**
 * Balloons in cells as wide as the farthest that two may be apart and still shade one another: none is missed among a
 * cell and those around it.
 */
function neighboursIn<Balloon extends Pick<SceneBalloon, 'at' | 'widthMm'>>(balloons: readonly Balloon[]) {
  const wide = NEAR * Math.max(1, ...balloons.map(({ widthMm }) => widthMm));
  const cells = new Map<number, Balloon[]>();
  const cellOf = ([x, y, z]: Vec) => [Math.floor(x / wide), Math.floor(y / wide), Math.floor(z / wide)] as const;
  for (const balloon of balloons) {
    const key = keyOf(...cellOf(balloon.at));
    const cell = cells.get(key);
    if (cell) cell.push(balloon);
    else cells.set(key, [balloon]);
  }
  return (at: Vec): Balloon[] => {
    const [x, y, z] = cellOf(at);
    const found: Balloon[] = [];
    for (let i = x - 1; i <= x + 1; i += 1)
      for (let j = y - 1; j <= y + 1; j += 1)
        for (let k = z - 1; k <= z + 1; k += 1) found.push(...(cells.get(keyOf(i, j, k)) ?? []));
    return found;
  };
}
