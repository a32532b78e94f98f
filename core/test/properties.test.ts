import fc from 'fast-check';

import {
  aspectAt,
  chooseHole,
  doseForWidth,
  fitCalibration,
  floorToStep,
  judgeBatch,
  predictWidth,
  resolveTarget,
  roundDose,
  roundToStep,
  shareInterval,
  estimateBatch,
  standingFraction,
  volumeAtL,
  widthAtVolumeMm,
  type CalibrationFit,
  type CheckResult,
  type HoleSighting,
  type Reading,
  type ShapeLaw,
} from '../src';
import { sizerGeometry } from '../src/gauge/template';

const INCH = 25.4;
const nominal = fc.constantFrom(5, 6, 9, 11, 16, 36).map((inches) => inches * INCH);

/** A balloon and a pump, and readings of them with a little noise: whatever a careful artist might enter. */
const careful = fc
  .record({
    nominalMm: nominal,
    fullStrokes: fc.integer({ min: 4, max: 60 }),
    count: fc.integer({ min: 2, max: 12 }),
    noise: fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 12, maxLength: 12 }),
    heights: fc.boolean(),
  })
  .map(({ nominalMm, fullStrokes, count, noise, heights }) => {
    const strokeL = ((Math.PI / 6) * nominalMm ** 3) / 1e6 / fullStrokes;
    const readings = Array.from({ length: count }, (_, i): Reading => {
      const dose = ((i + 1) * fullStrokes) / count;
      const widthMm = Math.cbrt((6e6 * strokeL * dose) / Math.PI) * (1 + 0.004 * noise[i]!);
      return heights ? { dose, widthMm, heightMm: widthMm, outcome: 'ok' } : { dose, widthMm, outcome: 'ok' };
    });
    return { nominalMm, readings, strokeL };
  });

function fitOf({ nominalMm, readings }: { nominalMm: number; readings: Reading[] }): CalibrationFit {
  const fit = fitCalibration({ nominalMm, readings });
  if (!fit.ok) throw new Error(fit.problem.code);
  return fit.value;
}

describe('whatever careful readings are entered', () => {
  it('the fit finds the pump to a few per cent, and less surely where nobody measured how long the body was', () => {
    fc.assert(
      fc.property(careful, (made) => {
        const { doseVolumeL, covariance } = fitOf(made);
        const offL = Math.abs(doseVolumeL - made.strokeL);
        const measured = made.readings.every(({ heightMm }) => heightMm !== undefined);
        // A sphere is unlike what is assumed of a body that nobody measured, by what the fit says it may be off.
        expect(offL).toBeLessThan((measured ? 0.08 : 0.2) * made.strokeL);
        if (!measured) expect(offL).toBeLessThan(2 * Math.sqrt(covariance[1]![1]!));
      }),
    );
  });

  it('more strokes never make a smaller balloon, and every interval holds its width', () => {
    fc.assert(
      fc.property(careful, fc.double({ min: 0.5, max: 80, noNaN: true }), (made, dose) => {
        const fit = fitOf(made);
        const at = (strokes: number) => {
          const width = predictWidth({ fit, dose: strokes });
          if (!width.ok) throw new Error(width.problem.code);
          return width.value;
        };
        const here = at(dose);
        expect(at(dose + 0.5).widthMm).toBeGreaterThanOrEqual(here.widthMm - 1e-9);
        expect(here.nextLowMm).toBeLessThanOrEqual(here.lowMm + 1e-9);
        expect(here.lowMm).toBeLessThanOrEqual(here.widthMm + 1e-9);
        expect(here.widthMm).toBeLessThanOrEqual(here.highMm + 1e-9);
        expect(here.highMm).toBeLessThanOrEqual(here.nextHighMm + 1e-9);
      }),
    );
  });

  it('the order in which they are entered changes nothing but the last dose', () => {
    fc.assert(
      fc.property(careful, (made) => {
        const { lastDose: _, outliers: __, ...one } = fitOf(made);
        const { lastDose: ___, outliers: ____, ...other } = fitOf({ ...made, readings: [...made.readings].reverse() });
        expect(other.doseVolumeL).toBeCloseTo(one.doseVolumeL, 9);
        expect(other.deadVolumeL).toBeCloseTo(one.deadVolumeL, 9);
        expect(other.shape.roundLimit.kind).toBe(one.shape.roundLimit.kind);
      }),
    );
  });

  it('lengths scale: twice the balloon, pump and uncertainty give twice the width', () => {
    fc.assert(
      fc.property(careful, (made) => {
        const sized = made.readings.map((r) => ({ ...r, sdMm: 2, heightMm: undefined }));
        const doubled = sized.map((r) => ({ ...r, widthMm: 2 * (r.widthMm ?? 0), sdMm: 4 }));
        const dose = made.readings[0]!.dose * 1.5;
        const small = predictWidth({ fit: fitOf({ nominalMm: made.nominalMm, readings: sized }), dose });
        const large = predictWidth({
          fit: fitOf({ nominalMm: 2 * made.nominalMm, readings: doubled }),
          dose,
        });
        expect(large.ok && small.ok && large.value.widthMm / small.value.widthMm).toBeCloseTo(2, 6);
      }),
    );
  });

  it('a target keeps under every limit, sits on the step, and its dose leads back near it', () => {
    const step = fc.constantFrom(INCH / 4, INCH / 8, 1);
    const days = fc.integer({ min: 0, max: 60 });
    const fraction = fc.double({ min: 0.4, max: 1.1, noNaN: true });
    fc.assert(
      fc.property(careful, step, days, fraction, (made, stepMm, daysStanding, share) => {
        const fit = fitOf(made);
        const target = resolveTarget({
          nominalMm: made.nominalMm,
          tier: { fraction: share },
          fit,
          daysStanding,
          step: stepMm,
        });
        if (!target.ok) throw new Error(target.problem.code);
        const { widthMm, reasons, dose } = target.value;
        expect(widthMm / stepMm).toBeCloseTo(Math.round(widthMm / stepMm), 6);
        for (const reason of reasons)
          if ('limitMm' in reason && reason.code !== 'smallest-useful')
            expect(widthMm).toBeLessThanOrEqual(reason.limitMm + 1e-6);
        const exact = doseForWidth({ fit, widthMm });
        if (dose && exact.ok) expect(Math.abs(dose.dose - exact.value.dose)).toBeLessThanOrEqual(0.5 + 1e-9);
      }),
    );
  });
});

describe('whatever is entered, careful or not', () => {
  const wild = fc.record({
    dose: fc.oneof(fc.double(), fc.constant(0), fc.integer({ min: -5, max: 300 })),
    widthMm: fc.oneof(fc.double(), fc.constant(undefined), fc.integer({ min: -100, max: 900 })),
    heightMm: fc.oneof(fc.double(), fc.constant(undefined), fc.integer({ min: -100, max: 900 })),
    outcome: fc.constantFrom('ok', 'hard', 'burst'),
  }) as fc.Arbitrary<Reading>;

  it('a fit is given or refused with a code and a field, never thrown, and never without numbers', () => {
    fc.assert(
      fc.property(fc.array(wild, { maxLength: 8 }), nominal, (readings, nominalMm) => {
        const fit = fitCalibration({ nominalMm, readings });
        if (!fit.ok) return expect(fit.problem.field).toMatch(/^readings/);
        expect(
          [fit.value.doseVolumeL, fit.value.deadVolumeL, ...fit.value.covariance.flat()].every(Number.isFinite),
        ).toBe(true);
        expect(fit.value.doseVolumeL).toBeGreaterThan(0);
      }),
      { numRuns: 400 },
    );
  });

  it('a batch is judged or refused, and its counts add up', () => {
    const result: fc.Arbitrary<CheckResult> = fc.oneof(
      fc.record({
        kind: fc.constant('measured' as const),
        widthMm: fc.double({ min: 200, max: 300, noNaN: true }),
      }),
      fc.record({
        kind: fc.constant('answer' as const),
        answer: fc.constantFrom('stops', 'passes', 'falls'),
      }),
    ) as fc.Arbitrary<CheckResult>;
    fc.assert(
      fc.property(fc.array(result, { minLength: 1, maxLength: 40 }), (results) => {
        const judged = judgeBatch({ targetMm: 254, toleranceMm: 6, results });
        if (!judged.ok) throw new Error(judged.problem.code);
        const { count, tooLarge, tooSmall, outside, spreadMm, advice } = judged.value;
        expect(outside.share).toBeCloseTo((tooLarge.length + tooSmall.length) / count, 12);
        expect(outside.low <= outside.share && outside.share <= outside.high).toBe(true);
        expect(new Set([...tooLarge, ...tooSmall]).size).toBe(tooLarge.length + tooSmall.length);
        expect(spreadMm === null || spreadMm >= 0).toBe(true);
        expect(advice.length).toBeGreaterThan(0);
      }),
    );
  });
});

describe('small parts', () => {
  const law: fc.Arbitrary<ShapeLaw> = fc
    .array(fc.tuple(fc.double({ min: 5, max: 80, noNaN: true }), fc.double({ min: 0.001, max: 0.2, noNaN: true })), {
      minLength: 1,
      maxLength: 6,
    })
    .map((steps) => {
      let widthMm = 50;
      let aspect = 0.95;
      const knots = steps.map(([wider, taller]) => ({
        widthMm: (widthMm += wider),
        aspect: (aspect += taller),
        sd: 0,
      }));
      return { knots, seen: true, roundLimit: { kind: 'no-shapes-seen' } };
    });

  it('width and volume turn into one another on any rising aspect law', () => {
    fc.assert(
      fc.property(law, fc.double({ min: 20, max: 600, noNaN: true }), (shape, widthMm) => {
        const volumeL = volumeAtL({ law: shape, widthMm });
        expect(widthAtVolumeMm({ law: shape, volumeL })).toBeCloseTo(widthMm, 5);
        expect(aspectAt({ law: shape, widthMm }).slopePerMm).toBeGreaterThanOrEqual(0);
      }),
    );
  });

  it('rounding to a step moves at most half of one, and down never up', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 3000, noNaN: true }), fc.constantFrom(1, INCH / 8, INCH / 4), (mm, step) => {
        expect(Math.abs(roundToStep({ mm, step }) - mm)).toBeLessThanOrEqual(step / 2 + 1e-9);
        const floored = floorToStep({ mm, step });
        expect(floored <= mm + 1e-6 && floored > mm - step - 1e-6).toBe(true);
        expect(roundDose({ dose: mm, kind: 'hand' })).toBeGreaterThanOrEqual(0.5);
      }),
    );
  });

  it('the chosen hole is never smaller than the target by more than its own width’s uncertainty', () => {
    const holes = fc.array(
      fc.double({ min: 40, max: 400, noNaN: true }).map((widthMm) => ({ widthMm })),
      { minLength: 1, maxLength: 12 },
    );
    fc.assert(
      fc.property(holes, fc.double({ min: 40, max: 400, noNaN: true }), (all, targetMm) => {
        const choice = chooseHole({ targetMm, holes: all });
        if (!choice.ok) return expect(Math.max(...all.map(({ widthMm }) => widthMm))).toBeLessThan(targetMm);
        expect(choice.value.hole.widthMm).toBeGreaterThanOrEqual(targetMm - 1);
        const better = all.filter(({ widthMm }) => widthMm > targetMm && widthMm < choice.value.hole.widthMm);
        if (choice.value.how === 'gap') expect(better).toEqual([]);
      }),
    );
  });

  it('a longer stand never allows more, and a larger sample never tells less', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 1, max: 50 }), (days, more) => {
        expect(standingFraction({ days: days + more })).toBeLessThanOrEqual(standingFraction({ days }));
        const small = shareInterval({ count: 1, of: 10 });
        const large = shareInterval({ count: more, of: 10 * more });
        expect(large.high - large.low).toBeLessThanOrEqual(small.high - small.low + 1e-9);
      }),
    );
  });
});

describe('whatever is answered at holes', () => {
  const holes = [200, 210, 220, 230, 240];
  const cells = fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 6, maxLength: 6 });
  const sightings = (counts: readonly number[], by: (mm: number) => number = (mm) => mm): HoleSighting[] =>
    counts.flatMap((count, i) =>
      count > 0
        ? [{ stopsMm: i > 0 ? by(holes[i - 1]!) : undefined, passesMm: i < 5 ? by(holes[i]!) : undefined, count }]
        : [],
    );

  it('moves and stretches with the holes, and never answers a mean without its interval', () => {
    fc.assert(
      fc.property(cells, fc.double({ min: 0.2, max: 5, noNaN: true }), (counts, factor) => {
        const plain = estimateBatch(sightings(counts));
        const moved = estimateBatch(sightings(counts, (mm) => factor * mm + 30));
        expect(moved.ok).toBe(plain.ok);
        if (!plain.ok || !moved.ok) return;
        const { meanMm, spreadMm } = plain.value;
        expect(meanMm.low).toBeLessThanOrEqual(meanMm.value + 1e-9);
        expect(meanMm.high).toBeGreaterThanOrEqual(meanMm.value - 1e-9);
        expect(spreadMm.high).toBeGreaterThanOrEqual(spreadMm.value);
        expect(Math.abs(moved.value.meanMm.value - (factor * meanMm.value + 30))).toBeLessThan(0.05 * factor);
        expect(Math.abs(moved.value.spreadMm.value - factor * spreadMm.value)).toBeLessThan(0.05 * factor);
      }),
      { numRuns: 120 },
    );
  });

  it('judges a batch between two holes by where it can lie', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 3, maxLength: 20 }), (places) => {
        const results = places.map((i): CheckResult => ({
          kind: 'between',
          stopsMm: holes[i - 1]!,
          passesMm: holes[i]!,
        }));
        const judged = judgeBatch({ targetMm: 215, toleranceMm: 6, results });
        if (!judged.ok) throw new Error(judged.problem.code);
        const large = places.flatMap((i, at) => (i > 2 ? [at] : []));
        expect(judged.value.tooLarge).toEqual(large);
        expect(judged.value.tooSmall).toEqual(places.flatMap((i, at) => (i < 2 ? [at] : [])));
        expect(judged.value.basis).toBe('holes');
      }),
    );
  });
});

describe('whatever holes a sizer is to have', () => {
  const inches = fc.uniqueArray(fc.integer({ min: 8, max: 96 }), { minLength: 1, maxLength: 12 });
  const material = fc.record({ kerfMm: fc.constantFrom(0, 0.2, 2), bridgeMm: fc.integer({ min: 4, max: 20 }) });

  it('every hole is cut once, at its width less the kerf, as far from the others as the bridge', () => {
    fc.assert(
      fc.property(
        inches,
        material,
        fc.constantFrom('plate' as const, 'strip' as const, 'box' as const),
        (eighths, { kerfMm, bridgeMm }, form) => {
          const sizes = [...eighths]
            .sort((a, b) => a - b)
            .map((eighth) => ({ label: String(eighth / 8), widthMm: (eighth * INCH) / 8 }));
          const made = sizerGeometry({
            form,
            sizes,
            kerfMm,
            bridgeMm,
            sheetWidthMm: 1500,
            sheetHeightMm: 1500,
            thicknessMm: 3,
            pitchMm: 20,
          });
          if (!made.ok) throw new Error(made.problem.code);
          const holes = made.value.sheets.flatMap((sheet) => sheet.holes);
          expect(holes.map(({ label }) => label).sort()).toEqual(sizes.map(({ label }) => label).sort());
          for (const sheet of made.value.sheets) {
            for (const hole of sheet.holes) {
              const cut = sheet.shapes.filter(
                (shape) => shape.kind === 'circle' && Math.hypot(shape.xMm - hole.xMm, shape.yMm - hole.yMm) < 1e-6,
              );
              expect(cut).toMatchObject([{ layer: 'cut', radiusMm: expect.closeTo((hole.widthMm - kerfMm) / 2, 6) }]);
              for (const other of sheet.holes) {
                if (other === hole) continue;
                const apart =
                  Math.hypot(other.xMm - hole.xMm, other.yMm - hole.yMm) - (other.widthMm + hole.widthMm) / 2;
                expect(apart).toBeGreaterThanOrEqual(bridgeMm - 1e-5);
              }
            }
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});
