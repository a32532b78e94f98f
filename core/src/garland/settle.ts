import { relax, type Relaxing, type Wall } from './relax';

/** Balloons press into one another by no more than this beyond what is soft, of how far apart they belong. */
export const WITHIN = 0.02;
const STEPS = 1200;
/** Where so many are tied at one place that their necks press them in, they are tied so much looser, and again. */
const LOOSER = 1.05;
const MOST_TIMES = 16;

/**
 * Lets tied balloons lie still with their knots where they are; answers the most that two still press into one another,
 * of how far apart they belong. Their tethers are changed where they must give.
 */
export function settle(spheres: Relaxing & { tetherMm: Float64Array }, walls: readonly Wall[]): number {
  for (let time = 0; ; time += 1) {
    const { worst } = relax(spheres, { within: WITHIN, mostSteps: STEPS, walls });
    if (worst <= WITHIN || time === MOST_TIMES) return worst;
    spheres.tetherMm.forEach((mm, i) => (spheres.tetherMm[i] = mm * LOOSER));
  }
}
