import type { ModelRecord, PiecePart } from '@leggero/contract';

import type { Scene, SceneBalloon, SceneRoom, Vec } from '../space/scene';
import { skinsAmong } from './skins';
import type { RopeBalloon } from './viewRope';

/** An empty modelling balloon pulled long, mm across (from memory). */
const JOINER_MM = 5;
/** Duplets farther apart than so many widths are not beside each other on the rope. */
const BESIDE = 1.5;

/** A rope, or a bow of it, in space: its balloons with their necks to the joiner, and the joiner through them. */
export function ropeScene(
  balloons: readonly RopeBalloon[],
  partOf: (balloon: RopeBalloon) => PiecePart,
  models: readonly ModelRecord[],
  { joinerHex, unit }: { joinerHex: string; unit: SceneRoom['unit'] },
): Scene {
  const skins = skinsAmong(models);
  const placed = balloons.map((balloon): SceneBalloon => {
    const { key, step, xMm, yMm, zMm, widthMm, aspect, neck } = balloon;
    return { key, step, at: [xMm, yMm, zMm], widthMm, aspect, neck, ...skins(partOf(balloon)) };
  });
  const tubes = linesThrough(balloons).map((line) => ({ line, widthMm: JOINER_MM, hex: joinerHex }));
  return { balloons: placed, tubes, discs: [], outline: null, room: { ceiling: null, unit } };
}

/** Through the middles of the duplets that lie beside each other. */
function linesThrough(balloons: readonly RopeBalloon[]): Vec[][] {
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
