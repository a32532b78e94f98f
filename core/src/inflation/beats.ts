/** A beat while a dose is counted. */
export interface Beat {
  /** From when counting begins, s. */
  atS: number;
  /** Before it begins, while it is given, and when it is given. */
  kind: 'ahead' | 'count' | 'end';
  /** How many beats are ahead; the stroke that is made, or the seconds that have gone. */
  figure: number;
}

/** Beats before the first stroke: three, as musicians have them (common practice). */
const AHEAD = 3;
/** Less of a stroke is none. */
const LEAST_STROKE = 0.1;

/**
 * The beats by which a dose is given: a few ahead, then one for each stroke, the last of them a part of one where the
 * dose has a part, and an end where the next would come; of a timed dose one a second from its beginning, and its end to
 * the tenth. Empty of a dose that is none. `everyS`: from one stroke to the next, above 0.
 */
export function beatsOf({ dose, timed, everyS }: { dose: number; timed: boolean; everyS: number }): Beat[] {
  if (!(dose > 0 && Number.isFinite(dose) && everyS > 0)) return [];
  const step = timed ? 1 : everyS;
  const ahead = Array.from({ length: AHEAD }, (_, i): Beat => ({ atS: i * step, kind: 'ahead', figure: AHEAD - i }));
  const from = AHEAD * step;
  if (timed) {
    const whole = Math.ceil(dose) - 1;
    const seconds = Array.from({ length: whole + 1 }, (_, i): Beat => ({ atS: from + i, kind: 'count', figure: i }));
    return [...ahead, ...seconds, { atS: from + dose, kind: 'end', figure: dose }];
  }
  const whole = Math.floor(dose + 1e-9);
  const strokes = Array.from({ length: whole }, (_, i): Beat => {
    return { atS: from + i * step, kind: 'count', figure: i + 1 };
  });
  if (dose - whole >= LEAST_STROKE) strokes.push({ atS: from + whole * step, kind: 'count', figure: dose });
  return [...ahead, ...strokes, { atS: from + strokes.length * step, kind: 'end', figure: dose }];
}
