import RAPIER from '@dimforge/rapier3d-compat';
import {
  besideEachOther,
  keptApart,
  knotLine,
  packGarland,
  relax,
  touchedUp,
  type KnotLine,
  type PackedGarland,
  type Touch,
} from '@leggero/core/garland';
import { randomFrom } from '@leggero/core';

import type { Bench } from './bench';
import { median, timed } from './figure';

const MANY = 1000;
const REACH_M = 0.125;
/** So much of the room that they begin in they fill, at random: nearly all press into others, and there is room for all. */
const FILLED = 0.5;
const WITHIN = 0.02;
/** Steps of a rigid-body engine between two looks at it, and at most. */
const STEPS = { look: 5, most: 1200 };

/** Soft spheres that come to rest, beside a rigid-body engine; how that grows; and a garland as its page packs it. */
export async function measureGarland({ report, rounds, smoke }: Bench): Promise<void> {
  await RAPIER.init();
  const many = smoke ? 60 : MANY;
  const ours = median(Array.from({ length: rounds(5) }, (_, i) => timed(() => rest(startOf(many, i + 1)))));
  const theirs = median(Array.from({ length: rounds(3) }, (_, i) => engineMs(startOf(many, i + 1))));
  report({
    what: `${MANY} soft spheres brought to rest, from one start to under 2 % of overlap`,
    ours,
    yardstick: 'a rigid-body engine from the same start to the same overlap',
    theirs,
    ...{ unit: 'ms', most: 1 },
  });
  // In turns, each as long as the other: a machine is not equally fast all the time.
  const growth = Array.from({ length: rounds(5) }, () => {
    const few = timed(() => Array.from({ length: 10 }, (_, i) => rest(startOf(many, i + 1))));
    return { few: few / 10, all: timed(() => rest(startOf(10 * many, 1))) };
  });
  report({
    what: `${10 * MANY} of them`,
    ours: median(growth.map(({ all }) => all)),
    yardstick: `${MANY} of them`,
    theirs: median(growth.map(({ few }) => few)),
    ...{ unit: 'ms', most: 14 },
  });
  const clusters = Array.from({ length: smoke ? 6 : 75 }, () => [{ nominalMm: 279, widthMm: 230, count: 4 }]);
  const line = knotLine([
    [0, 0, 0],
    [30_000, 0, 0],
  ]);
  const pack = () => {
    const made = line.ok ? packGarland({ clusters, line: line.value, seed: 1 }) : line;
    if (!made.ok || made.value.pressed > WITHIN) throw new Error('no garland');
  };
  report({
    what: 'a garland of 300 balloons packed',
    ours: median(Array.from({ length: rounds(5) }, () => timed(pack))),
    yardstick: 'the time an artist waits for it',
    theirs: 1000,
    ...{ unit: 'ms', most: 1 },
  });
  const whole = line.ok ? packGarland({ clusters, line: line.value, seed: 1 }) : line;
  if (!line.ok || !whole.ok) throw new Error('no garland');
  const { value: garland } = whole;
  const middle = Math.floor(clusters.length / 2);
  const touches = [0, 1, 2, 3].map((place) => ({ cluster: middle, layer: 0, place, widthMm: 150 + 40 * place }));
  report({
    what: 'one cluster of it changed by hand, and all packed anew',
    ours: median(Array.from({ length: rounds(9) }, () => timed(() => touchUp(garland, line.value, touches)))),
    yardstick: 'what is seen to happen at once',
    theirs: 100,
    ...{ unit: 'ms', most: 1 },
  });
  const balloons = garland.balloons.map(() => ({ size: 'one' }));
  const colours = [1, 2, 3, 4].map((share) => ({ share, print: share === 1 }));
  const first = garland.balloons.map((_, i) => i % 4);
  const pairs = besideEachOther(garland);
  report({
    what: 'its colours laid so that neighbours differ',
    ours: median(
      Array.from({ length: rounds(9) }, () => timed(() => keptApart({ balloons, first, colours, pairs, seed: 1 }))),
    ),
    yardstick: 'what a page may be held up for',
    theirs: 50,
    ...{ unit: 'ms', most: 1 },
  });
}

function touchUp(...[garland, line, touches]: [PackedGarland, KnotLine, Touch[]]): void {
  const made = touchedUp(garland, { line, touches });
  if (!made.ok || made.value.pressed > WITHIN) throw new Error('not packed anew');
}

/** Places at random in a room that they nearly fill, m. */
function startOf(many: number, seed: number): Float64Array {
  const random = randomFrom(seed);
  const side = Math.cbrt((many * (4 / 3) * Math.PI * REACH_M ** 3) / FILLED);
  return Float64Array.from({ length: 3 * many }, () => side * random());
}

function rest(at: Float64Array): void {
  const reachMm = new Float64Array(at.length / 3).fill(REACH_M);
  const { worst } = relax({ at, reachMm }, { within: WITHIN, mostSteps: 20_000 });
  if (worst > WITHIN) throw new Error(`still ${worst} too near`);
}

/** What the engine's own steps take until no two overlap by more; looking at them is not counted. */
function engineMs(at: Float64Array): number {
  const world = new RAPIER.World({ x: 0, y: 0, z: 0 });
  const bodies = Array.from({ length: at.length / 3 }, (_, i) => {
    const body = world.createRigidBody(
      RAPIER.RigidBodyDesc.dynamic().setTranslation(at[3 * i]!, at[3 * i + 1]!, at[3 * i + 2]!),
    );
    world.createCollider(RAPIER.ColliderDesc.ball(REACH_M).setFriction(0).setRestitution(0), body);
    return body;
  });
  let ms = 0;
  for (let step = 0; step < STEPS.most; step += STEPS.look) {
    ms += timed(() => {
      for (let i = 0; i < STEPS.look; i += 1) world.step();
    });
    const places = bodies.map((body) => body.translation());
    if (worstOf(places) <= WITHIN) break;
  }
  world.free();
  return ms;
}

function worstOf(places: readonly { x: number; y: number; z: number }[]): number {
  let nearest = Infinity;
  places.forEach((a, i) => {
    for (let j = i + 1; j < places.length; j += 1) {
      const b = places[j]!;
      nearest = Math.min(nearest, (a.x - b.x) ** 2 + (a.y - b.y) ** 2 + (a.z - b.z) ** 2);
    }
  });
  return 1 - Math.sqrt(nearest) / (2 * REACH_M);
}
