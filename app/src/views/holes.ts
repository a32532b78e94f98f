import {
  holeAt,
  holeWidthAt,
  type CalibrationRecord,
  type CheckRecord,
  type CheckResultRecord,
  type HoleRecord,
  type ReadingRecord,
  type SizerRecord,
} from '@leggero/contract';
import {
  chooseHole,
  learnSqueeze,
  nearestHole,
  passedWidth,
  type HoleChoice,
  type HoleNow,
  type Sizing,
  type Squeeze,
  type Trade,
} from '@leggero/core';
import { weakMapMemoize } from 'reselect';

/** A hole as it is now, with whose it is. */
export interface HoleView {
  id: string;
  label: string;
  /** By its last measurement, or its label where there is none. */
  widthMm: number;
  /** Width of the balloon in question that just passes it, where the squeeze is known. */
  passesMm?: number;
  now: HoleNow;
  sizer: SizerRecord;
}

/** A hole, how to use it, and whose it is. */
export interface SizerChoice {
  sizer: SizerRecord;
  choice: HoleChoice<HoleView>;
}

/** What balloons measured after sizing teach, over all sizers. */
export const squeezeOf = weakMapMemoize((sizers: readonly SizerRecord[], trade: Trade): Squeeze =>
  learnSqueeze(sizers.flatMap(sizingsOf), trade),
);

function sizingsOf({ holes, sizings }: SizerRecord): Sizing[] {
  return sizings.flatMap(({ holeId, widthMm, nominalMm, takenAt }) => {
    const hole = holes.find(({ id }) => id === holeId);
    return hole ? [{ holeMm: holeWidthAt(hole, takenAt), widthMm, nominalMm }] : [];
  });
}

/** A sizer's holes as they are now, from small to large; with what passes them, for a balloon of `nominalMm`. */
export function holesNow(
  sizer: SizerRecord,
  trade: Trade,
  { squeeze, nominalMm }: { squeeze?: Squeeze; nominalMm?: number | undefined } = {},
): HoleView[] {
  return sizer.holes
    .map((hole): HoleView => {
      const { id, label } = hole;
      const now = holeAt(hole, { trade });
      const { widthMm } = now;
      // Only what was learned moves a hole: the assumed squeeze is a guess.
      const known = squeeze && nominalMm && squeeze.origin === 'measured';
      const passes = known ? { passesMm: passedWidth({ holeMm: widthMm, nominalMm, squeeze }).widthMm } : {};
      return { id, label, widthMm, now, sizer, ...passes };
    })
    .sort((a, b) => a.widthMm - b.widthMm);
}

/** What a hole is looked for: a width, how exact, and of which balloon. */
interface Wanted {
  targetMm: number;
  toleranceMm?: number | undefined;
  nominalMm?: number | undefined;
}

/** The width a target asks a hole for. */
export function targetOf(
  { nominalMm }: { nominalMm: number },
  { widthMm, toleranceMm }: { widthMm: number; toleranceMm: number },
): Wanted {
  return { targetMm: widthMm, toleranceMm, nominalMm };
}

/** A hole that misses its target by no more than this share of the tolerance is the target's own. */
const OWN_SHARE = 1 / 3;
const LEAST_OWN_MM = 1;

/**
 * The best hole among the studio's sizers: one of the target's own size before any gap, then the smallest gap, then
 * the sizer with most holes.
 */
export function bestHole(sizers: readonly SizerRecord[], wanted: Wanted, trade: Trade): SizerChoice | null {
  const { targetMm, toleranceMm = 0, nominalMm } = wanted;
  const squeeze = squeezeOf(sizers, trade);
  const ownMm = Math.max(LEAST_OWN_MM, OWN_SHARE * toleranceMm);
  let best: SizerChoice | null = null;
  for (const sizer of [...sizers].sort((a, b) => b.holes.length - a.holes.length)) {
    const result = chooseHole({ targetMm, holes: holesNow(sizer, trade, { squeeze, nominalMm }), ownMm });
    if (!result.ok) continue;
    if (!best || gapOf(result.value) < gapOf(best.choice)) best = { sizer, choice: result.value };
  }
  return best;
}

function gapOf(choice: HoleChoice<HoleView>): number {
  return choice.how === 'gap' ? choice.gapMm : 0;
}

/** The hole of any sizer whose balloon comes nearest when it just passes. */
export function nearestOfAll(sizers: readonly SizerRecord[], { targetMm, nominalMm }: Wanted, trade: Trade) {
  const squeeze = squeezeOf(sizers, trade);
  return nearestHole(
    sizers.flatMap((sizer) => holesNow(sizer, trade, { squeeze, nominalMm })),
    targetMm,
  );
}

/** Every hole of the studio by its id. */
export function holesById(sizers: readonly SizerRecord[]): Map<string, HoleRecord> {
  return new Map(sizers.flatMap(({ holes }) => holes.map((hole) => [hole.id, hole])));
}

type Holes = ReadonlyMap<string, HoleRecord>;

/** A width taken through a hole, as that hole is now known to have been; as taken where nobody measured it. */
function through<Taken extends number | null>(
  holes: Holes,
  holeId: string | null,
  takenMm: Taken,
  takenAt: string,
): Taken | number {
  if (takenMm === null) return takenMm;
  const hole = holeId === null ? undefined : holes.get(holeId);
  return hole && hole.measurements.length > 0 ? holeWidthAt(hole, takenAt) : takenMm;
}

/** Calibrations with what was taken through measured holes corrected; the very same records where nothing was. */
export function correctedCalibrations(calibrations: readonly CalibrationRecord[], holes: Holes): CalibrationRecord[] {
  return calibrations.map((calibration) => {
    // Most are not through a hole; a shelf of thousands is gone through without a copy.
    if (!calibration.readings.some(({ holeId, stopsHoleId }) => holeId ?? stopsHoleId)) return calibration;
    const readings = calibration.readings.map((reading) => correctedReading(reading, holes));
    const same = readings.every((reading, i) => reading === calibration.readings[i]);
    return same ? calibration : { ...calibration, readings };
  });
}

function correctedReading(reading: ReadingRecord, holes: Holes): ReadingRecord {
  const { holeId, stopsHoleId, takenAt, widthMm, passesMm, stopsMm } = reading;
  if (!holeId && !stopsHoleId) return reading;
  return {
    ...reading,
    widthMm: through(holes, holeId, widthMm, takenAt),
    passesMm: through(holes, holeId, passesMm, takenAt),
    stopsMm: through(holes, stopsHoleId, stopsMm, takenAt),
  };
}

/** How much wider the hole of a check's answers was than it was then taken for, mm. */
export function checkHoleOffMm({ holeId, holeMm, startedAt }: CheckRecord, holes: Holes): number {
  return holeMm === null ? 0 : through(holes, holeId, holeMm, startedAt) - holeMm;
}

/** A result with the holes it lies between as they are now known to have been. */
export function correctedResult(result: CheckResultRecord, holes: Holes): CheckResultRecord {
  const { stopsHoleId, passesHoleId, stopsMm, passesMm, takenAt } = result;
  if (!stopsHoleId && !passesHoleId) return result;
  return {
    ...result,
    stopsMm: through(holes, stopsHoleId, stopsMm, takenAt),
    passesMm: through(holes, passesHoleId, passesMm, takenAt),
  };
}
