import { aspectAt, normalFrom, randomFrom, widthAtVolumeMm, type Reading, type ShapeLaw } from '../src';

/** A balloon whose truth is known: what readings of it would be, with noise from a seed. */
export interface PhysicalBalloon {
  deadVolumeL: number;
  doseVolumeL: number;
  law: ShapeLaw;
}

/** An 11 in balloon on a large pump: about 8 strokes to 10 in; round to 9.9 in. */
export const ELEVEN: PhysicalBalloon = {
  deadVolumeL: -0.15,
  doseVolumeL: 1.12,
  law: {
    knots: [
      { widthMm: 200, aspect: 1, sd: 0 },
      { widthMm: 250, aspect: 1.055, sd: 0 },
      { widthMm: 290, aspect: 1.25, sd: 0 },
    ],
    seen: true,
    roundLimit: { kind: 'no-shapes-seen' },
  },
};

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
  return widthAtVolumeMm({ law: balloon.law, volumeL: balloon.deadVolumeL + balloon.doseVolumeL * dose });
}
