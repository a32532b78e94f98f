import {
  bandsOf,
  bowBalloons,
  colourMap,
  fitTaper,
  simulatePiece,
  solveBow,
  solveColumn,
  solveHoop,
  tyingOf,
} from '@leggero/core/building';

import type { Bench } from './bench';
import { median, timesOf } from './figure';

const ROUNDS = 200;
const TAPERS = 30;
const inch = (inches: number) => inches * 25.4;
const LAYERS = 40;

/** A column of forty layers: how many layers its height takes, where each rests, its spiral, and what is tied for it. */
export function measureColumn({ report, rounds }: Bench): void {
  const column = { count: 4, open: 'layers', layers: 1, widthMm: inch(10), standMm: 12, topper: null } as const;
  const order = bandsOf({ count: 4, colours: 2 });
  const work = () => {
    const solved = solveColumn({ column: { ...column, heightMm: 7330 }, stepMm: inch(1 / 8) });
    const layers = solved.ok ? solved.value.layers : 0;
    const pattern = { kind: 'spiral', order, to: 'right', every: 2 } as const;
    const map = colourMap({ count: 4, layers, pattern, colours: 2 });
    if (layers !== LAYERS || !map.ok || tyingOf(map.value).tied.length !== 1) throw new Error('another column');
  };
  report({
    what: 'a column of 40 layers solved, coloured and counted',
    ours: median(timesOf(work, rounds(ROUNDS))),
    yardstick: 'the time it may take',
    theirs: 1,
    unit: 'ms',
    most: 1,
  });
}

const TRIALS = 10_000;

/** Columns of thirty layers of quads, every balloon off by its own draw. */
export function measureSimulated({ report, rounds }: Bench): void {
  const layers = Array.from({ length: 30 }, () => ({ count: 4, widthMm: inch(10) }));
  const piece = { layers, heldBy: 'pole', fixedMm: 12 } as const;
  const work = () => {
    const made = simulatePiece({ piece, spread: { lean: 0, sd: 0.03 }, trials: TRIALS, seed: 1 });
    if (!made.ok || made.value.trials !== TRIALS) throw new Error('other columns');
  };
  report({
    what: 'ten thousand columns of 30 layers built at random',
    ours: median(timesOf(work, rounds(3))),
    yardstick: 'the time it may take',
    theirs: 1000,
    unit: 'ms',
    most: 1,
  });
}

/** A bow of two hundred duplets, each balloon in its place. */
export function measureBow({ report, rounds }: Bench): void {
  const bow = { open: 'across', loop: 80, tail: 20, widthMm: inch(4), acrossMm: 1 } as const;
  const work = () => {
    const made = solveBow({ bow, stepMm: inch(1 / 8) });
    if (!made.ok || bowBalloons(made.value).length !== 400) throw new Error('another bow');
  };
  report({
    what: 'a bow of 200 duplets solved and laid',
    ours: median(timesOf(work, rounds(ROUNDS))),
    yardstick: 'the time it may take',
    theirs: 10,
    unit: 'ms',
    most: 1,
  });
}

/** A crescent scaled until it lands between two places of its hoop. */
export function measureCrescent({ report, rounds }: Bench): void {
  const steps = [8, 7, 6, 5].map((inches) => ({ widthMm: inch(inches), left: 3, right: 2 }));
  const crescent = { atDeg: 180, centreMm: inch(9), steps, between: { fromDeg: 90, toDeg: 260 } };
  const work = () => {
    const made = solveHoop({ hoop: { hoopMm: inch(80), count: 4, crescents: [crescent] }, stepMm: inch(1 / 8) });
    if (!made.ok || made.value.clusters.length !== 21) throw new Error('another crescent');
  };
  report({
    what: 'a crescent of 21 clusters fitted along its hoop',
    ours: median(timesOf(work, rounds(ROUNDS))),
    yardstick: 'the time it may take',
    theirs: 5,
    unit: 'ms',
    most: 1,
  });
}

/** A taper whose fourteen layers are put on steps together. */
export function measureTaper({ report, rounds }: Bench): void {
  const profile = [
    { at: 0, widthMm: inch(9.25) },
    { at: 1, widthMm: inch(3.5) },
  ];
  const work = () => {
    const made = fitTaper({ count: 5, profile, heightMm: inch(60), stepMm: inch(1 / 4) });
    if (!made.ok || made.value.widthsMm.length !== 14) throw new Error('another taper');
  };
  report({
    what: 'a taper snapped over 14 layers',
    ours: median(timesOf(work, rounds(TAPERS))),
    yardstick: 'the time it may take',
    theirs: 20,
    unit: 'ms',
    most: 1,
  });
}
