/**
 * Ways to dose: strokes of a hand pump, seconds of a timed inflator, seconds of one that fills two balloons at once.
 */
export const INFLATOR_KINDS = ['hand', 'timed', 'twin'] as const;
export type InflatorKind = (typeof INFLATOR_KINDS)[number];

/** The nozzles of a two-nozzle inflator. */
export const NOZZLES = ['left', 'right'] as const;
export type Nozzle = (typeof NOZZLES)[number];

/** What a dose is counted in, and how finely. */
export interface DoseScale {
  unit: 'stroke' | 'second';
  /** The finest dose that can be repeated. */
  step: number;
}

/**
 * How each kind of inflator is dosed. Half strokes are repeatable by feel, thirds are not; timers are set in tenths
 * of a second (common practice).
 */
export const DOSE_SCALES: Readonly<Record<InflatorKind, DoseScale>> = {
  hand: { unit: 'stroke', step: 0.5 },
  timed: { unit: 'second', step: 0.1 },
  twin: { unit: 'second', step: 0.1 },
};

/** The most strokes or seconds anyone gives one balloon; a reading beyond it is a slip of the finger. */
export const MOST_DOSE = 200;

/** What is known of an inflator before a calibration. */
export interface Inflator {
  kind: InflatorKind;
  /** Litres moved by one full stroke or in one second, when known. */
  doseVolumeL?: number | undefined;
}

/** The dose nearest to `dose` that the inflator can give, at least one step. */
export function roundDose({ dose, kind }: { dose: number; kind: InflatorKind }): number {
  const { step } = DOSE_SCALES[kind];
  // Steps of a tenth are not exact in binary: one more rounding keeps 0.3 from reading 0.30000000000000004.
  return Math.max(step, Number((Math.round(dose / step) * step).toFixed(6)));
}

/** The largest dose not above `dose` that the inflator can give, at least one step. */
export function floorDose({ dose, kind }: { dose: number; kind: InflatorKind }): number {
  const { step } = DOSE_SCALES[kind];
  return Math.max(step, Number((Math.floor(dose / step + 1e-9) * step).toFixed(6)));
}
