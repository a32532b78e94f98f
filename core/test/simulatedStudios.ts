import {
  doseForWidth,
  estimateFor,
  fitCalibration,
  fitOnShelf,
  knowShelf,
  NARROWEST_FRACTION,
  normalFrom,
  predictWidth,
  randomFrom,
  STANDARD_TIERS,
  type CalibrationFit,
  type EstimatedCurve,
  type Reading,
  type ShelfKnowledge,
} from '../src';
import { nextReading } from '../src/calibration/calibrating';
import {
  Balloon,
  doseForMm,
  INCH,
  meanWidthMm,
  reader,
  spreadReadings,
  toMarks,
  USUAL,
  type World,
} from './simulatedCalibrations';

/** Somebody who calibrates: what balloon they have before them, and what they make of its readings. */
export interface Studio {
  /** What balloon the run of that number is about. */
  worldOf: (run: number) => World;
  fitOf: (run: number, readings: readonly Reading[]) => CalibrationFit;
  /** What is known of its curve before any reading. */
  curveBefore: (run: number) => EstimatedCurve | null;
}

/** One who has calibrated nothing yet. */
export function newcomer(world: World): Studio {
  return {
    worldOf: () => world,
    fitOf: (_, readings) => {
      const made = fitCalibration({ nominalMm: world.nominalMm, readings });
      if (!made.ok) throw new Error(made.problem.code);
      return made.value;
    },
    curveBefore: () => null,
  };
}

const SIZES = [0.8, 1.3, 1.6];
const OTHER_LINE = [0.9, 1.2];
const RUNS_PER_STUDIO = 20;

/**
 * Studios with five balloons calibrated before by the same hands with the same pump, eight readings each: three sizes
 * of the line, two of a line that lengthens mildly. No two balloons are quite alike: what a stroke adds, what is lost
 * and how much they lengthen differ from one to the next.
 */
export function grownStudios(world: World): Studio {
  const shelves = new Map<number, ShelfKnowledge>();
  const shelfOf = (run: number): ShelfKnowledge => {
    const studio = Math.floor(run / RUNS_PER_STUDIO);
    const shelf = shelves.get(studio) ?? shelfWith(world, studio);
    shelves.set(studio, shelf);
    return shelf;
  };
  const balloon = { id: 'own', line: 'Line', kind: 'round' as const, nominalMm: world.nominalMm, stuffed: false };
  const pump = { inflatorId: 'p', inflator: { kind: 'hand' as const } };
  return {
    worldOf: (run) => unlike(world, run),
    curveBefore: (run) => estimateFor({ balloon, ...pump, shelf: shelfOf(run) }),
    fitOf: (run, readings) => {
      const { fit, problem } = fitOnShelf({
        balloon,
        calibration: { id: 'own', inflatorId: 'p', readings },
        inflator: pump.inflator,
        shelf: shelfOf(run),
      });
      if (!fit) throw new Error(problem);
      return fit;
    },
  };
}

function shelfWith(world: World, studio: number): ShelfKnowledge {
  const balloons = [...SIZES, ...OTHER_LINE].map((size, i) => {
    const own = i < SIZES.length;
    const nominalMm = size * world.nominalMm;
    const seed = 7000 + 17 * studio + i;
    const balloon = unlike({ ...world, nominalMm, growth: own ? world.growth : USUAL.growth }, seed);
    return {
      id: `b${i}`,
      line: own ? 'Line' : 'Other',
      kind: 'round' as const,
      nominalMm,
      stuffed: false,
      calibrations: [{ id: `c${i}`, inflatorId: 'p', readings: spreadReadings(balloon, 8, seed) }],
    };
  });
  return knowShelf({ balloons, inflators: new Map([['p', { kind: 'hand' as const }]]) });
}

/** A balloon of the world as one differs from the next. */
function unlike(world: World, seed: number): World {
  const random = randomFrom(seed + 1_300_000);
  const { growth } = world;
  return {
    ...world,
    strokeL: world.strokeL * (1 + 0.03 * normalFrom(random)),
    lostStrokes: world.lostStrokes + 0.1 * normalFrom(random),
    growth: { ...growth, atNominal: Math.max(0, growth.atNominal + 0.02 * normalFrom(random)) },
  };
}

/** Readings as the app proposes them, until it has enough or `most` were taken. */
function proposedReadings({ worldOf, fitOf, curveBefore }: Studio, most: number, run: number): Reading[] {
  const world = worldOf(run);
  const read = reader(world, run);
  const curve = curveBefore(run);
  const first = { nominalMm: world.nominalMm, inflator: { kind: 'hand' as const }, ...(curve ? { curve } : {}) };
  const readings: Reading[] = [];
  let fit: CalibrationFit | null = null;
  for (let i = 0; i < most; i += 1) {
    const next = nextReading({ fit, tiers: STANDARD_TIERS, first });
    if (next.purpose === 'enough') break;
    let reading = read(next.dose, next.freshBalloon);
    // Too slack to be entered: another stroke, as anybody would.
    while (reading.widthMm! < NARROWEST_FRACTION * world.nominalMm) reading = read(reading.dose + 1, false);
    readings.push(reading);
    fit = fitOf(run, readings);
  }
  return readings;
}

/** How often what is said of a calibration is true. */
export interface Coverage {
  /** Share of 95 % intervals of the mean, and of the next balloon's measured width, that hold. */
  mean: number;
  next: number;
  /** Share of the doses called measured (known to the tolerance) whose mean width lies within the tolerance. */
  within: number;
  /** Share of target doses that are known to the tolerance. */
  known: number;
  /** Half width of the mean's interval, mm, on average. */
  halfMm: number;
  /** What intervals of the mean would have to be multiplied by to hold such a share of the time. */
  factorFor: (share: number) => number;
}

/** Simulates `runs` calibrations of so many readings (or as the app proposes them), asked near every standard tier. */
export function coverageOf({
  studio,
  count,
  runs,
}: {
  studio: Studio;
  count: number | 'proposed';
  runs: number;
}): Coverage {
  let mean = 0;
  let next = 0;
  let asked = 0;
  let sure = 0;
  let within = 0;
  let half = 0;
  /** By how much of its half width, on its side, each interval of the mean missed. */
  const off: number[] = [];
  for (let run = 1; run <= runs; run += 1) {
    const world = studio.worldOf(run);
    const toleranceMm = (0.25 / 11) * world.nominalMm;
    const readings = count === 'proposed' ? proposedReadings(studio, 12, run) : spreadReadings(world, count, run);
    const fit = studio.fitOf(run, readings);
    const random = randomFrom(run + 900_000);
    for (const { fraction } of STANDARD_TIERS) {
      // Widths on a mark would be read as that mark more often than any band expects.
      const targetMm = fraction * world.nominalMm + (random() - 0.5) * world.marksMm;
      const dose = doseForMm(world, targetMm);
      const width = predictWidth({ fit, dose });
      if (!width.ok) throw new Error(width.problem.code);
      asked += 1;
      const { widthMm, lowMm, highMm } = width.value;
      half += (highMm - lowMm) / 2;
      if (lowMm <= targetMm && targetMm <= highMm) mean += 1;
      off.push((targetMm - widthMm) / (targetMm < widthMm ? lowMm - widthMm : highMm - widthMm));
      const balloon = new Balloon(world, random, 1);
      const seen = toMarks(balloon.fillTo(dose) + world.tapeMm * normalFrom(random), world.marksMm);
      if (width.value.nextLowMm <= seen && seen <= width.value.nextHighMm) next += 1;
      const proposed = doseForWidth({ fit, widthMm: targetMm });
      if (!proposed.ok) continue;
      const gives = predictWidth({ fit, dose: proposed.value.dose });
      if (!gives.ok || (gives.value.highMm - gives.value.lowMm) / 2 > toleranceMm) continue;
      sure += 1;
      if (Math.abs(meanWidthMm(world, proposed.value.dose) - targetMm) <= toleranceMm) within += 1;
    }
  }
  off.sort((a, b) => a - b);
  return {
    factorFor: (share) => off[Math.ceil(share * asked) - 1]!,
    mean: mean / asked,
    next: next / asked,
    within: sure > 0 ? within / sure : 1,
    known: sure / asked,
    halfMm: half / asked,
  };
}

const MILD = USUAL.growth;
const STRONG = { atNominal: 0.2, from: 0.6, power: 1.5 };

/** Hands, pumps and balloons that the table of coverage is about, by name. */
export const WORLDS: readonly [string, World][] = [
  ...[true, false].flatMap((filledOn) =>
    [0.04, 0.08].flatMap((strokeVariation) =>
      [MILD, STRONG].flatMap((growth) =>
        (['heights', 'answers', 'none'] as const).map((shapes): [string, Partial<World>] => [
          `${filledOn ? 'filled on' : 'fresh'}, strokes ${100 * strokeVariation} %, ` +
            `${growth === MILD ? 'mild' : 'strong'} ${shapes}`,
          { filledOn, strokeVariation, growth, shapes },
        ]),
      ),
    ),
  ),
  ...Object.entries<Partial<World>>({
    'strong, heights from 0.85 of nominal on': { growth: STRONG, shapes: 'late heights' },
    'fresh, strong, heights from 0.85 on': { growth: STRONG, shapes: 'late heights', filledOn: false },
    'half a stroke in it before': { lostStrokes: -0.5 },
    '0.6 strokes lost': { lostStrokes: 0.6 },
    'a 5 in': { nominalMm: 5 * INCH, strokeL: 0.18 },
    'a 5 in, strokes 8 %': { nominalMm: 5 * INCH, strokeL: 0.18, strokeVariation: 0.08 },
    'a 5 in, fresh': { nominalMm: 5 * INCH, strokeL: 0.18, filledOn: false },
    'a 16 in': { nominalMm: 16 * INCH },
    'a 16 in, large pump': { nominalMm: 16 * INCH, strokeL: 1.12 },
    'small pump': { strokeL: 0.18 },
    'large pump': { strokeL: 1.12 },
    'read to the millimetre’s tenth': { marksMm: 0.1 },
    'a tape of 3 mm': { tapeMm: 3 },
    'a tape of 0.8 mm read to ⅛ in': { tapeMm: 0.8, marksMm: INCH / 8 },
    'a sphere': { growth: { ...MILD, atNominal: 0 } },
  }),
].map(([name, part]) => [name, { ...USUAL, ...part }]);
