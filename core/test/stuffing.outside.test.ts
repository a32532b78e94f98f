import fc from 'fast-check';

import {
  doseForWidth,
  fitCalibration,
  pairTarget,
  STANDARD_TIERS,
  STEP_MM,
  stuffedCurve,
  type CalibrationFit,
  type Skin,
} from '../src';
import {
  bubbleGapMm,
  bubbleGasL,
  bubbleSteps,
  bubbleStuffing,
  piecesFrom,
  ruleLimitMm,
  skinStuffing,
  sphereInClear,
} from '../src/stuffing';
import { ELEVEN, readingsOf } from './physicalBalloon';
import { inch } from './results';

const classic = STANDARD_TIERS.find(({ name }) => name === 'Classic')!;
const skin = (nominal: number, more: Partial<Skin> = {}): Skin => ({
  nominalMm: inch(nominal),
  kind: 'round',
  finish: 'matte',
  fit: null,
  estimate: null,
  ...more,
});
const stuff = (outer: Skin, inner: Skin, tier = classic, fit: CalibrationFit | null = null) => {
  const found = skinStuffing({ outer, inner, tier, fit, step: STEP_MM.eighthInch });
  if (!found.ok) throw new Error(found.problem.code);
  return found.value;
};
const eleven = (): CalibrationFit => {
  const readings = readingsOf({ balloon: ELEVEN, doses: [2, 4, 6, 7, 8, 9, 10], sdMm: 1 });
  const fit = fitCalibration({ nominalMm: inch(11), readings });
  if (!fit.ok) throw new Error(fit.problem.code);
  return fit.value;
};

/** Common practice. */
describe('a balloon in a balloon, filled as one', () => {
  it('is governed by the 5 in inside a 6 in linking balloon', () => {
    const found = stuff(skin(6, { kind: 'linking' }), skin(5));
    expect(found.verdict).toBe('works');
    expect(found.reasons).toEqual([{ code: 'next-smaller' }]);
    expect(found.limits.governs).toBe('inner');
    expect(found.target.widthMm).toBeLessThanOrEqual(ruleLimitMm({ nominalMm: inch(5) }));
    expect(found.target.widthMm).toBeGreaterThan(inch(4));
  });

  it('gives the linking targets of the trade, 3.5 to 4.25 in, from the middle tiers', () => {
    const widths = ['Supple', 'Soft'].map((name) => {
      const tier = STANDARD_TIERS.find((each) => each.name === name)!;
      return stuff(skin(6, { kind: 'linking' }), skin(5), tier).target.widthMm / 25.4;
    });
    for (const width of widths) {
      expect(width).toBeGreaterThanOrEqual(3.5);
      expect(width).toBeLessThanOrEqual(4.25);
    }
  });

  it('needs a hand pump when small, and not when large', () => {
    const can = (outer: number, inner: number) =>
      Object.fromEntries(stuff(skin(outer), skin(inner)).inflators.map(({ kind, passes }) => [kind, passes]));
    expect(can(6, 5)).toEqual({ hand: true, timed: false, twin: false });
    expect(can(5, 5)).toEqual({ hand: true, timed: false, twin: false });
    expect(can(11, 11)).toEqual({ hand: true, timed: true, twin: true });
    expect(stuff(skin(5), skin(5)).inflators[1]).toMatchObject({ aloneOnly: true });
  });

  it('takes two balloons, more time and more losses', () => {
    const { effort } = stuff(skin(11), skin(11));
    expect(effort.balloons).toBe(2);
    expect(effort.time).toBeGreaterThan(1);
    expect(effort.loss).toBeGreaterThan(1);
  });

  it('refuses an inner larger than its outer, and names the largest that goes in', () => {
    const found = skinStuffing({ outer: skin(11), inner: skin(12), tier: classic, step: STEP_MM.eighthInch });
    expect(found).toMatchObject({ ok: false, problem: { code: 'inner-larger', field: 'inner' } });
    if (found.ok || found.problem.code !== 'inner-larger') throw new Error('no inner is named');
    expect(found.problem.detail.nearestMm).toBeCloseTo(inch(11), 6);
  });

  it('does not work with an inner so small that the outer hangs loose', () => {
    const found = stuff(skin(16), skin(6));
    expect(found.verdict).toBe('does-not-work');
    expect(found.reasons[0]).toMatchObject({ code: 'outer-slack' });
  });

  it('minds a linking inner’s tail, and an outer left soft', () => {
    expect(stuff(skin(11), skin(11, { kind: 'linking' })).verdict).toBe('works-with-care');
    expect(stuff(skin(11), skin(7)).reasons[0]).toMatchObject({ code: 'outer-soft' });
  });
});

describe('the limits of a pair', () => {
  it('holds the pair at the one whose round limit was measured lower, and says whose it is', () => {
    const fit = eleven();
    const round = { ...classic, shape: 'round' as const };
    const found = stuff(skin(11), skin(11, { fit }), round);
    expect(found.limits.governs).toBe('inner');
    const held = found.target.reasons.find((reason) => reason.code === 'round-limit' && reason.state === 'acts');
    expect(held).toMatchObject({ of: 'inner' });
    expect(stuff(skin(11), skin(11)).limits.governs).toBe('both');
  });

  it('never passes a limit of either, whatever the tier and the pair', () => {
    const sizes = fc.constantFrom(5, 6, 9, 11, 12, 16, 18);
    fc.assert(
      fc.property(
        sizes,
        sizes,
        fc.constantFrom(...STANDARD_TIERS),
        fc.integer({ min: 0, max: 30 }),
        (a, b, tier, days) => {
          const [outer, inner] = [skin(Math.max(a, b)), skin(Math.min(a, b))];
          const found = skinStuffing({ outer, inner, tier, daysStanding: days, step: STEP_MM.eighthInch });
          if (!found.ok) return false;
          const { widthMm } = found.value.target;
          return widthMm <= found.value.limits.outerMm + 1e-6 && widthMm <= found.value.limits.innerMm + 1e-6;
        },
      ),
    );
  });

  it('uses the pair’s own calibration where it has one', () => {
    const own = eleven();
    const estimated = stuff(skin(11, { fit: own }), skin(11));
    const measured = stuff(skin(11, { fit: own }), skin(11), classic, own);
    expect(estimated.target.origin).toBe('estimated');
    expect(measured.target.origin).toBe('measured');
  });
});

describe('the dose of a pair nobody has calibrated', () => {
  it('is the outer’s, a little more of it, and wider', () => {
    const fit = eleven();
    const curve = stuffedCurve({ outer: fit });
    const [alone, both] = [fit, curve].map((each) => {
      const dose = doseForWidth({ fit: each, widthMm: inch(9) });
      if (!dose.ok) throw new Error(dose.problem.code);
      return dose.value;
    });
    expect(both!.dose).toBeGreaterThan(alone!.dose);
    expect(both!.dose).toBeLessThan(1.1 * alone!.dose);
    expect(both!.high - both!.low).toBeGreaterThan(1.5 * (alone!.high - alone!.low));
    expect(fit.covariance[1]![1]).toBeLessThan(curve.covariance[1]![1]!);
  });

  it('says in its cautions that it comes from the outer', () => {
    const estimate = stuffedCurve({ outer: eleven() });
    const found = pairTarget({
      outer: skin(11, { fit: eleven() }),
      inner: skin(11),
      tier: classic,
      fit: null,
      estimate,
      daysStanding: 1,
      step: STEP_MM.eighthInch,
    });
    expect(found.ok && found.value.cautions).toContainEqual(
      expect.objectContaining({ code: 'estimated-from', doses: 'outer' }),
    );
  });
});

describe('pieces from stock', () => {
  it('takes one of each, two of the same, and knows nothing of what was not counted', () => {
    expect(piecesFrom({ outerStock: 40, innerStock: 25, sameModel: false })).toBe(25);
    expect(piecesFrom({ outerStock: 25, innerStock: 25, sameModel: true })).toBe(12);
    expect(piecesFrom({ outerStock: 1, innerStock: 1, sameModel: true })).toBe(0);
    expect(piecesFrom({ outerStock: null, innerStock: 3, sameModel: false })).toBeNull();
  });
});

describe('a bubble', () => {
  /** Common practice: 14 in plus an 11 in inner ends at about 16 in. */
  it('of 14 in and an 11 in inner ends at about 16 in', () => {
    const found = bubbleStuffing({ outerFirstMm: inch(14), innerMm: inch(11) });
    if (!found.ok) throw new Error(found.problem.code);
    expect(found.value.finalMm / 25.4).toBeCloseTo(16, 1);
  });

  it('gives any one of the three from the other two', () => {
    const width = fc.double({ min: 50, max: 600, noNaN: true });
    fc.assert(
      fc.property(width, width, (outerFirstMm, innerMm) => {
        const final = bubbleStuffing({ outerFirstMm, innerMm });
        if (!final.ok) return false;
        const { finalMm } = final.value;
        const inner = bubbleStuffing({ outerFirstMm, finalMm });
        const first = bubbleStuffing({ innerMm, finalMm });
        // A bubble hardly wider than what is in it is refused: it would show no gap.
        const near = (
          x: { ok: true; value: { outerFirstMm: number; innerMm: number } } | { ok: false; problem: { code: string } },
        ) =>
          x.ok
            ? Math.abs(x.value.outerFirstMm - outerFirstMm) < 1e-3 && Math.abs(x.value.innerMm - innerMm) < 1e-3
            : x.problem.code === 'final-too-small';
        return near(inner) && near(first);
      }),
    );
  });

  it('holds the gas of both', () => {
    const litres = bubbleGasL({ outerFirstMm: inch(14), innerMm: inch(11), finalMm: inch(16) });
    expect(litres.gapL).toBeCloseTo((Math.PI * inch(14) ** 3) / 6e6, 6);
    expect(litres.innerL).toBeCloseTo((Math.PI * inch(11) ** 3) / 6e6, 6);
    expect(bubbleGapMm({ finalMm: inch(16), innerMm: inch(11) })).toBeCloseTo(inch(2.5), 9);
  });

  it('refuses a final width below the first, with the smallest that works', () => {
    const found = bubbleStuffing({ outerFirstMm: inch(14), finalMm: inch(12) });
    expect(found).toMatchObject({ ok: false, problem: { code: 'final-too-small', field: 'finalMm' } });
    if (found.ok || found.problem.code !== 'final-too-small') throw new Error('no width is named');
    const { nearestMm } = found.problem.detail;
    expect(nearestMm).toBeGreaterThan(inch(14));
    expect(bubbleStuffing({ outerFirstMm: inch(14), finalMm: nearestMm }).ok).toBe(true);
  });

  it.each([
    [{ outerFirstMm: inch(18), innerMm: inch(11) }, 'outerFirstMm'],
    [{ outerFirstMm: inch(10), finalMm: inch(20) }, 'finalMm'],
    [{ innerMm: inch(12), finalMm: inch(16) }, 'innerMm'],
    [{ outerFirstMm: inch(8), finalMm: inch(16) }, 'outerFirstMm'],
    [{ outerFirstMm: inch(2), innerMm: inch(20) }, 'innerMm'],
  ] as const)('refuses %p above what the balloons allow, and the nearest it names works', (asked, field) => {
    const limits = { outerMm: inch(16.5), innerMm: inch(11) };
    const found = bubbleStuffing({ ...asked, limits });
    if (found.ok) throw new Error('should be refused');
    expect(found.problem.field).toBe(field);
    if (found.problem.code !== 'above-limit') throw new Error(found.problem.code);
    const mended = {
      ...asked,
      [field]: Math.floor(found.problem.detail.nearestMm) + (field === 'outerFirstMm' && 'finalMm' in asked ? 1 : 0),
    };
    const again = bubbleStuffing({ ...mended, limits: { outerMm: limits.outerMm, innerMm: Infinity } });
    expect(again.ok).toBe(true);
  });

  it('wants exactly two of the three', () => {
    expect(bubbleStuffing({ outerFirstMm: 1 })).toMatchObject({ problem: { code: 'leave-one-out' } });
    expect(bubbleStuffing({ outerFirstMm: 1, innerMm: 2, finalMm: 3 })).toMatchObject({
      problem: { code: 'leave-one-out' },
    });
    expect(bubbleStuffing({ outerFirstMm: -1, innerMm: 2 })).toMatchObject({
      problem: { code: 'bad-width', field: 'outerFirstMm' },
    });
  });
});

describe('sizing a bubble', () => {
  const holes = (...inches: number[]) => inches.map((each) => ({ widthMm: inch(each), label: String(each) }));
  const widths = {
    outerFirstMm: inch(14),
    innerMm: inch(11),
    finalMm: Math.cbrt(inch(14) ** 3 + inch(11) ** 3),
  };

  it('goes straight through a sizer that is large enough', () => {
    const found = bubbleSteps({ widths, holes: holes(10, 14, 17) });
    expect(found.how).toBe('as-asked');
    expect(found.steps.map(({ fill }) => fill)).toEqual(['outer', 'inner-until-final']);
    expect(found.steps[1]!.at).toMatchObject({ how: 'gap', hole: { label: '17' } });
  });

  /** Common practice: sizers end at about 14 in. */
  it('sizes the inner alone when the outside passes no hole', () => {
    const found = bubbleSteps({ widths, holes: holes(9, 11, 14) });
    expect(found.how).toBe('inner-by-dose');
    expect(found.steps.map(({ at }) => at?.hole.label)).toEqual(['11', '14', undefined]);
  });

  it('finds the pair of steps that fits a smaller sizer, at the same final width', () => {
    const found = bubbleSteps({
      widths: { ...widths, outerFirstMm: inch(15), innerMm: inch(8.79) },
      holes: holes(12, 13),
    });
    expect(found.how).toBe('other-pair');
    const { outerFirstMm, innerMm, finalMm } = found.widths;
    expect(Math.max(outerFirstMm, innerMm)).toBeLessThanOrEqual(inch(13) + 1e-9);
    expect(outerFirstMm ** 3 + innerMm ** 3).toBeCloseTo(finalMm ** 3, 0);
  });

  it('keeps to the inner’s limit in that, and takes the tape where nothing fits', () => {
    const large = {
      outerFirstMm: inch(15),
      innerMm: inch(8),
      finalMm: Math.cbrt(inch(15) ** 3 + inch(8) ** 3),
    };
    const limited = bubbleSteps({ widths: large, holes: holes(14), limits: { innerMm: inch(9) } });
    expect(limited.how).toBe('by-tape');
    expect(bubbleSteps({ widths: large, holes: [] }).how).toBe('by-tape');
    expect(
      bubbleSteps({ widths: large, holes: holes(14), limits: { innerMm: inch(12) } }).widths.innerMm,
    ).toBeLessThanOrEqual(inch(12));
  });
});

/** Common practice: 15 in for both; air let out once or twice as it grows, always with a gap. */
describe('a stretchy foil sphere in clear latex', () => {
  it.each([2, 3])(
    'of 15 in in 15 in keeps its gap through %p vents, and never passes what the latex bears',
    (vents) => {
      const found = sphereInClear({ latexNominalMm: inch(15), sphereMm: inch(15), vents });
      if (!found.ok) throw new Error(found.problem.code);
      const { vents: points, gapMm, outsideMm, sphereMm, stretchToMm } = found.value;
      expect(points).toHaveLength(vents);
      for (const [i, point] of points.entries()) {
        expect(point.gapBeforeMm).toBeGreaterThanOrEqual(gapMm);
        expect(point.gapAfterMm).toBeGreaterThanOrEqual(gapMm);
        expect(point.outsideMm).toBeLessThanOrEqual(stretchToMm + 1e-9);
        expect(point.letOutL).toBeGreaterThan(0);
        if (i > 0) expect(point.sphereMm).toBeGreaterThan(points[i - 1]!.sphereMm);
      }
      // The air left after the last vent is what stands around the full sphere.
      const { downToMm, sphereMm: inside } = points.at(-1)!;
      expect(downToMm ** 3 - inside ** 3).toBeCloseTo(outsideMm ** 3 - sphereMm ** 3, 0);
    },
  );

  it('refuses sizes that do not match, with the nearest that do', () => {
    expect(sphereInClear({ latexNominalMm: inch(11), sphereMm: inch(15) })).toMatchObject({
      problem: { code: 'latex-too-small', field: 'latexNominalMm' },
    });
    expect(sphereInClear({ latexNominalMm: inch(24), sphereMm: inch(15) })).toMatchObject({
      problem: { code: 'latex-too-large' },
    });
    expect(sphereInClear({ latexNominalMm: inch(15), sphereMm: 0 })).toMatchObject({
      problem: { code: 'bad-width', field: 'sphereMm' },
    });
    expect(sphereInClear({ latexNominalMm: inch(15), sphereMm: inch(15), vents: 5 })).toMatchObject({
      problem: { code: 'bad-vents' },
    });
  });
});
