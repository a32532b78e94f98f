import { bodyVolumeL, normalFrom, randomFrom, roundDose, type Reading } from '../src';

/** A studio as physics would have it, by a model that is not the fitted one. */
export interface World {
  nominalMm: number;
  strokeL: number;
  /** Strokes lost at the start; below zero for air that was in before. */
  lostStrokes: number;
  /** How much one stroke differs from the next. */
  strokeVariation: number;
  /** How much one balloon's width differs from the next at the same air. */
  balloonVariation: number;
  /** How much longer than wide it is at nominal; from which share of nominal on it lengthens, and by which power. */
  growth: { atNominal: number; from: number; power: number };
  tapeMm: number;
  heightMm: number;
  /** What widths are read to. */
  marksMm: number;
  /** What is said of the shape: also heights only once it is large, when it looks long. */
  shapes: 'heights' | 'late heights' | 'answers' | 'none';
  /** One balloon filled on, or a fresh one each time. */
  filledOn: boolean;
}

export const INCH = 25.4;

export const USUAL: World = {
  nominalMm: 11 * INCH,
  strokeL: 0.5,
  lostStrokes: 0.2,
  strokeVariation: 0.04,
  balloonVariation: 0.004,
  growth: { atNominal: 0.06, from: 0.7, power: 1.5 },
  tapeMm: 1.5,
  heightMm: 2.5,
  marksMm: INCH / 4,
  shapes: 'none',
  filledOn: true,
};

/** Height over width at a width. */
function trueAspect({ growth, nominalMm }: World, widthMm: number): number {
  const { atNominal, from, power } = growth;
  const along = (widthMm / nominalMm - from) / (1 - from);
  return 1 + atNominal * Math.max(0, along) ** power;
}

/** Width (mm) of a body that holds so much, by bisection: volume rises with width. */
function trueWidthMm(world: World, volumeL: number): number {
  // Longer than wide it is narrower than a sphere of the same air.
  const sphereMm = Math.cbrt((6e6 * volumeL) / Math.PI);
  if (sphereMm <= world.growth.from * world.nominalMm) return sphereMm;
  let low = 0.7 * sphereMm;
  let high = sphereMm;
  for (let i = 0; i < 28; i += 1) {
    const middle = (low + high) / 2;
    const holds = bodyVolumeL({ widthMm: middle, heightMm: middle * trueAspect(world, middle) });
    if (holds < volumeL) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** The width that many balloons have on average after a dose. */
export function meanWidthMm(world: World, dose: number): number {
  return trueWidthMm(world, world.strokeL * (dose - world.lostStrokes));
}

export function doseForMm(world: World, widthMm: number): number {
  const volumeL = bodyVolumeL({ widthMm, heightMm: widthMm * trueAspect(world, widthMm) });
  return volumeL / world.strokeL + world.lostStrokes;
}

/** A balloon in hand: what it holds, and how it was made. */
export class Balloon {
  private volumeL: number;
  private dose = 0;
  private readonly made: number;

  constructor(
    private readonly world: World,
    private readonly random: () => number,
    readonly number: number,
  ) {
    this.volumeL = -world.lostStrokes * world.strokeL;
    this.made = 1 + world.balloonVariation * normalFrom(random);
  }

  fillTo(dose: number): number {
    const { strokeL, strokeVariation } = this.world;
    const more = dose - this.dose;
    this.volumeL += strokeL * (more + strokeVariation * Math.sqrt(more) * normalFrom(this.random));
    this.dose = dose;
    return this.made * trueWidthMm(this.world, Math.max(this.volumeL, 1e-4));
  }
}

/** From this share of nominal on a balloon's length strikes the eye. */
export const LATE = 0.85;

export const toMarks = (mm: number, marksMm: number) => (marksMm > 0 ? Math.round(mm / marksMm) * marksMm : mm);

/** Someone who fills and measures: each call gives the next dose and reads it. */
export function reader(world: World, seed: number): (dose: number, fresh: boolean) => Reading {
  const random = randomFrom(seed);
  let count = 0;
  let balloon: Balloon | null = null;
  return (dose, fresh) => {
    if (!balloon || fresh || !world.filledOn) balloon = new Balloon(world, random, (count += 1));
    const widthMm = balloon.fillTo(dose);
    const aspect = trueAspect(world, widthMm);
    const reading: Reading = {
      dose,
      balloon: balloon.number,
      widthMm: toMarks(widthMm + world.tapeMm * normalFrom(random), world.marksMm),
      outcome: 'ok',
    };
    if (world.shapes === 'heights' || (world.shapes === 'late heights' && widthMm > LATE * world.nominalMm)) {
      reading.heightMm = toMarks(widthMm * aspect + world.heightMm * normalFrom(random), world.marksMm);
    }
    if (world.shapes === 'answers') {
      const seen = aspect + 0.02 * normalFrom(random);
      reading.shape = seen < 1.06 ? 'round' : seen < 1.18 ? 'oval' : 'pear';
    }
    return reading;
  };
}

/** Readings spread over the widths people work at, each somewhere within half a step of its place. */
export function spreadReadings(world: World, count: number, seed: number): Reading[] {
  const read = reader(world, seed);
  const random = randomFrom(seed + 500_000);
  const doses = Array.from({ length: count }, (_, i) => {
    const share = 0.45 + (0.5 * (i + (random() - 0.5) / 2)) / (count - 1);
    return roundDose({ dose: doseForMm(world, share * world.nominalMm), kind: 'hand' });
  });
  return [...new Set(doses)].sort((a, b) => a - b).map((dose, i) => read(dose, i === 0));
}
