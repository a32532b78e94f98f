import type { ModelRecord, PiecePart } from '@leggero/contract';

import type { Scene, SceneBalloon, SceneRoom, Vec } from '../space/scene';
import { skinsAmong } from './skins';
import type { TiedBalloon } from './tied';

/** An empty modelling balloon pulled long, mm across (from memory). */
const JOINER_MM = 5;
/** Duplets farther apart than so many widths are not beside each other on the rope. */
const BESIDE = 1.5;

/** What balloons are tied to. */
export type Holds = Pick<Scene, 'tubes' | 'discs' | 'shapes'>;

/** Balloons with their necks at what holds them, in space beside a person. */
export function tiedScene(
  balloons: readonly TiedBalloon[],
  partOf: (balloon: TiedBalloon) => PiecePart,
  models: readonly ModelRecord[],
  { holds, ...room }: { holds: Holds } & SceneRoom,
): Scene {
  const skins = skinsAmong(models);
  const placed = balloons.map((balloon): SceneBalloon => {
    const { key, step, xMm, yMm, zMm, widthMm, aspect, neck } = balloon;
    return { key, step, at: [xMm, yMm, zMm], widthMm, aspect, neck, ...skins(partOf(balloon)) };
  });
  return { balloons: placed, ...holds, outline: null, room };
}

/** A joiner through all duplets of a rope. */
export function joinerThrough(balloons: readonly TiedBalloon[], hex: string): Holds {
  return { tubes: linesThrough(balloons).map((line) => ({ line, widthMm: JOINER_MM, hex })), discs: [] };
}

/** Through the middles of the duplets that lie beside each other. */
function linesThrough(balloons: readonly TiedBalloon[]): Vec[][] {
  const middles = new Map<number, { sum: Vec; widthMm: number; count: number }>();
  for (const { step, xMm, yMm, zMm, widthMm } of balloons) {
    const { sum, count } = middles.get(step) ?? { sum: [0, 0, 0] as Vec, count: 0 };
    middles.set(step, { sum: [sum[0] + xMm, sum[1] + yMm, sum[2] + zMm], widthMm, count: count + 1 });
  }
  const lines: Vec[][] = [];
  for (const [, { sum, widthMm, count }] of [...middles].sort(([a], [b]) => a - b)) {
    const at: Vec = [sum[0] / count, sum[1] / count, sum[2] / count];
    const last = lines.at(-1)?.at(-1);
    const near = last && Math.hypot(at[0] - last[0], at[1] - last[1], at[2] - last[2]) < BESIDE * widthMm;
    if (near) lines.at(-1)!.push(at);
    else lines.push([at]);
  }
  return lines.filter((line) => line.length > 1);
}
