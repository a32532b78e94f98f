import { aspectAt, widthAtVolumeMm, type Reading, type ShapeLaw } from '../src';

/** A balloon whose truth is known: what readings of it would be, with noise from a seed. */
export interface PhysicalBalloon {
  deadVolumeL: number;
  strokeVolumeL: number;
  law: ShapeLaw;
}

/** An 11 in balloon on a large pump: about 8 strokes to 10 in; round to 9.9 in. */
export const ELEVEN: PhysicalBalloon = {
  deadVolumeL: -0.15,
  strokeVolumeL: 1.12,
  law: {
    knots: [
      { widthMm: 200, aspect: 1, sd: 0 },
      { widthMm: 250, aspect: 1.055, sd: 0 },
      { widthMm: 290, aspect: 1.25, sd: 0 },
    ],
    roundLimit: { kind: 'no-shapes-seen' },
  },
};

/** Uniform numbers in [0, 1) from a seed (mulberry32, public domain). */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let z = state;
    z = Math.imul(z ^ (z >>> 15), z | 1);
    z ^= z + Math.imul(z ^ (z >>> 7), z | 61);
    return ((z ^ (z >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** A standard normal number (Box and Muller 1958). */
export function normalFrom(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/** Readings of the balloon at `doses`, with heights, each width off by `sdMm` and each height by half as much again. */
export function readingsOf({
  balloon,
  doses,
  sdMm = 2,
  seed = 1,
}: {
  balloon: PhysicalBalloon;
  doses: readonly number[];
  sdMm?: number;
  seed?: number;
}): Reading[] {
  const random = randomFrom(seed);
  return doses.map((dose) => {
    const widthMm = trueWidth(balloon, dose);
    const heightMm = widthMm * aspectAt({ law: balloon.law, widthMm }).aspect;
    return {
      dose,
      widthMm: widthMm + sdMm * normalFrom(random),
      heightMm: heightMm + 1.5 * sdMm * normalFrom(random),
      outcome: 'ok',
    };
  });
}

/** The width the balloon really has after a dose, mm. */
export function trueWidth(balloon: PhysicalBalloon, dose: number): number {
  return widthAtVolumeMm({ law: balloon.law, volumeL: balloon.deadVolumeL + balloon.strokeVolumeL * dose });
}
