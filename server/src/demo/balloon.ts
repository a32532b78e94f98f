import { aspectAt, normalFrom, widthAtVolumeMm, type ShapeLaw } from '@leggero/core';

/** A balloon as physics would have it: what the demo's readings are drawn from. */
export interface DemoBalloon {
  nominalMm: number;
  /** Share of nominal up to which it stays round. */
  roundTo: number;
  deadVolumeL: number;
  strokeVolumeL: number;
}

/** Round and level at first; close to its round limit it begins to lengthen, fast beyond it. */
function shapeLawOf({ nominalMm, roundTo }: DemoBalloon): ShapeLaw {
  return {
    knots: [
      { widthMm: 0.4 * nominalMm, aspect: 0.985, sd: 0 },
      { widthMm: (roundTo - 0.05) * nominalMm, aspect: 1.01, sd: 0 },
      { widthMm: roundTo * nominalMm, aspect: 1.06, sd: 0 },
      { widthMm: (roundTo + 0.1) * nominalMm, aspect: 1.24, sd: 0 },
    ],
    roundLimit: { kind: 'no-shapes-seen' },
  };
}

/** Width and height that a tape would read after `dose` strokes, mm, rounded as people read a tape. */
export function measure({
  balloon,
  dose,
  random,
}: {
  balloon: DemoBalloon;
  dose: number;
  random: () => number;
}): { widthMm: number; heightMm: number } {
  const law = shapeLawOf(balloon);
  const volumeL = balloon.deadVolumeL + balloon.strokeVolumeL * dose * (1 + 0.006 * normalFrom(random));
  const widthMm = widthAtVolumeMm({ law, volumeL });
  const heightMm = widthMm * aspectAt({ law, widthMm }).aspect;
  const tape = (mm: number, sdMm: number) => Math.round((mm + sdMm * normalFrom(random)) / 1.5875) * 1.5875;
  return { widthMm: tape(widthMm, 1.2), heightMm: tape(heightMm, 1.6) };
}
