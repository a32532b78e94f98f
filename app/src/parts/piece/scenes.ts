import type { ModelRecord, PiecePart } from '@leggero/contract';
import { factorsOff, unevenStack, type HeldBy, type PieceSpread, type Stack } from '@leggero/core/building';
import type { SizeSpread, Trade } from '@leggero/core';
import type { Form, Sphere } from '@leggero/core/linking';

import type { Scene, SceneBalloon, SceneRoom, SceneTube, Vec } from '../space/scene';
import type { ColumnBalloon, LayeredDesign } from './colouring';
import { LINE_MM, STEEL_HEX } from './holds';
import { skinsAmong } from './skins';
import { figureIn, sprayTubes } from './toppers';

/** A column's pole, mm across (common practice). */
const POLE_MM = 22;
const DOWN: Vec = [0, 0, -1];

/** Where a stack stands, and what holds it. */
interface Standing extends Pick<LayeredDesign, 'standMm' | 'topper'>, SceneRoom {
  /** Across what it stands on, mm. */
  baseMm: number;
  poleMm: number;
  heldBy: 'pole' | 'line';
}

/** A column or a taper in space: its layers, its pole or line, its plate, and the room around it. */
export function stackScene(
  balloons: readonly ColumnBalloon[],
  partOf: (balloon: ColumnBalloon) => PiecePart,
  models: readonly ModelRecord[],
  { standMm, topper, baseMm, poleMm, heldBy, ceiling, unit }: Standing,
): Scene {
  const skins = skinsAmong(models);
  const placed = balloons.map((balloon): SceneBalloon => {
    const { xMm, yMm, zMm, widthMm, aspect, outwards, layer, key } = balloon;
    // Necks are tied in the middle; a balloon on top stands on its own.
    const neck: Vec = outwards === null ? DOWN : [-Math.cos(outwards), -Math.sin(outwards), 0];
    return { key, step: layer, at: [xMm, yMm, zMm + standMm], widthMm, aspect, neck, ...skins(partOf(balloon)) };
  });
  const top = Math.max(0, ...balloons.map(({ zMm, widthMm }) => standMm + zMm + widthMm / 2));
  const pole: SceneTube = {
    line: [
      [0, 0, 0],
      [0, 0, poleMm],
    ],
    widthMm: heldBy === 'pole' ? POLE_MM : LINE_MM,
    hex: STEEL_HEX,
  };
  // A spray is drawn; a figure only keeps its place.
  const figure = topper?.kind === 'figure' ? figureIn(topper) : null;
  const spray = topper?.kind === 'spray' ? sprayTubes(topper, top) : [];
  return {
    balloons: placed,
    tubes: [pole, ...spray],
    discs: standMm > 0 ? [{ at: [0, 0, 0], widthMm: baseMm, highMm: standMm, hex: STEEL_HEX }] : [],
    outline: figure && { widthMm: figure.widthMm, fromMm: top, toMm: top + figure.heightMm },
    room: { ceiling, unit },
  };
}

/** One time that layers are laid of what each balloon came out as. */
export interface UnevenHow {
  spread: PieceSpread;
  seed: number;
  heldBy: HeldBy;
  packing: number;
  trade: Trade;
}

/** The same balloons where they come to lie in an artist's hands: the stack is laid anew of what each came out as. */
export function unevenBalloons(
  balloons: readonly ColumnBalloon[],
  { layers }: Pick<Stack, 'layers'>,
  how: UnevenHow,
): ColumnBalloon[] {
  const made = unevenStack({ layers, ...how });
  // So far off that a layer falls past the one below it is none that is drawn.
  return made.ok ? made.value.balloons.map((balloon, i) => ({ ...balloons[i]!, ...balloon })) : [...balloons];
}

/** Linking work in space: each ring lies knot to tail, what closes it upright points to its middle. */
export function formScene(
  spheres: readonly Sphere[],
  { layers, ties }: Pick<Form, 'layers' | 'ties'>,
  skinOf: (key: string) => PiecePart,
  models: readonly ModelRecord[],
  more: Pick<Scene, 'tubes' | 'discs'>,
): Scene {
  const skins = skinsAmong(models);
  // A tie goes on once the upper of the layers that it ties is there.
  const order = [...layers.map((_, i) => i), ...ties.map(({ below, above }) => Math.max(below, above) + 0.5)];
  const places = [...new Set(order)].sort((a, b) => a - b);
  const balloons = spheres.map((sphere): SceneBalloon => {
    const { layer, tie, xMm, yMm, zMm, widthMm, key } = sphere;
    const around = Math.hypot(xMm, yMm);
    const [x, y] = around === 0 ? [0, 0] : [xMm / around, yMm / around];
    const own = tie ? null : layers[layer]!;
    // Knot to tail around a ring: along the chord to the next one, half a step inwards of straight on.
    const inwards = own?.role === 'ring' ? Math.PI / own.count : Math.PI / 2;
    const [on, off] = [Math.cos(inwards), Math.sin(inwards)];
    const neck: Vec = around === 0 ? DOWN : [-off * x - on * y, -off * y + on * x, 0];
    return {
      key,
      step: places.indexOf(order[tie ? layers.length + layer : layer]!),
      at: [xMm, yMm, zMm],
      ...{ widthMm, aspect: 1, neck },
      ...skins(skinOf(key)),
    };
  });
  return { balloons, ...more, outline: null, room: null };
}

/** A piece whose every balloon came out a little off, each where it belongs. */
export function offScene(scene: Scene, spread: SizeSpread, seed: number): Scene {
  const next = factorsOff(spread, seed);
  return { ...scene, balloons: scene.balloons.map((each) => ({ ...each, widthMm: each.widthMm * next() })) };
}
