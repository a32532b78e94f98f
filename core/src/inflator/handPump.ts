/** What is known of a hand pump before a calibration. */
export interface HandPump {
  kind: 'hand';
  /** Litres moved by one full stroke, when known. */
  strokeVolumeL?: number | undefined;
}

/** Doses are counted to the half stroke: half strokes are repeatable by feel, thirds are not (common practice). */
export const DOSE_STEP = 0.5;

/** The most strokes anyone gives one balloon; a reading beyond it is a slip of the finger. */
export const MOST_STROKES = 200;

/** The dose nearest to `dose` that can be pumped, at least half a stroke. */
export function roundDose(dose: number): number {
  return Math.max(DOSE_STEP, Math.round(dose / DOSE_STEP) * DOSE_STEP);
}
