import { aspectAt, MM_PER_INCH, normalFrom, roundToStep, widthAtVolumeMm, type ShapeLaw } from '@leggero/core';

/** A balloon as physics would have it: what the demo's readings are drawn from. */
export interface DemoBalloon {
  nominalMm: number;
  /** Share of nominal up to which it stays round. */
  roundTo: number;
  deadVolumeL: number;
  doseVolumeL: number;
  /** Rounding off presses air toward the neck: so much less height to the width. */
  roundedOff?: boolean;
  /** Pre-stretched latex gives more: the same air makes it so much wider. */
  preStretched?: boolean;
}

/** Round and level at first; close to its round limit it begins to lengthen, fast beyond it. */
function shapeLawOf({ nominalMm, roundTo, roundedOff = false, preStretched = false }: DemoBalloon): ShapeLaw {
  const lower = (roundedOff ? 0.03 : 0) + (preStretched ? 0.02 : 0);
  const knots = [
    [0.4, 0.985],
    [roundTo - 0.05, 1.01],
    [roundTo, 1.06],
    [roundTo + 0.1, 1.24],
  ] as const;
  return {
    knots: knots.map(([share, aspect]) => ({ widthMm: share * nominalMm, aspect: aspect - lower, sd: 0 })),
    seen: true,
    roundLimit: { kind: 'no-shapes-seen' },
  };
}

/** Width and height that a tape would read after `dose` strokes, mm, rounded as people read a tape. */
export function measure({ balloon, dose, random }: { balloon: DemoBalloon; dose: number; random: () => number }): {
  widthMm: number;
  heightMm: number;
} {
  const law = shapeLawOf(balloon);
  const volumeL = balloon.deadVolumeL + balloon.doseVolumeL * dose * (1 + 0.006 * normalFrom(random));
  const widthMm = widthAtVolumeMm({ law, volumeL });
  const heightMm = widthMm * aspectAt({ law, widthMm }).aspect;
  const tape = (mm: number, sdMm: number) => byTape(mm + sdMm * normalFrom(random));
  return { widthMm: tape(widthMm, 1.2), heightMm: tape(heightMm, 1.6) };
}

/** A width as people read it from a tape, to the sixteenth of an inch, mm. */
export function byTape(mm: number): number {
  return roundToStep({ mm, step: MM_PER_INCH / 16 });
}
