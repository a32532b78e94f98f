import { sphereVolumeL } from '../src/balloon';
import {
  defaultHoldRate,
  fitCalibration,
  holdLaws,
  keptShare,
  nearestTier,
  nightLossMm,
  predictWidth,
  STANDARD_TIERS,
  TRADE,
  usefulWidths,
  type HoldTest,
  type Reading,
} from '../src';
import { evenDoses } from '../src/calibration/calibrating';
import { bodyWhenFull, flatAreaMm2, foilBody } from '../src/foil';
import { inch } from './results';

describe('the tier shown first', () => {
  it('is the one nearest to what most work is filled to, wherever it stands in the list', () => {
    expect(nearestTier(STANDARD_TIERS, TRADE.usualFraction)?.name).toBe('Classic');
    expect(nearestTier([...STANDARD_TIERS].reverse(), TRADE.usualFraction)?.name).toBe('Classic');
    expect(nearestTier(STANDARD_TIERS, TRADE.stuffedFraction)?.name).toBe('Supple');
  });

  it('is the only one of a studio with one tier, and none of a studio without', () => {
    expect(nearestTier([{ fraction: 0.4, name: 'Pea' }], 0.9)?.name).toBe('Pea');
    expect(nearestTier([], 0.9)).toBeUndefined();
  });

  it('is the earlier of two that are as near', () => {
    expect(nearestTier([{ fraction: 0.8 }, { fraction: 0.9 }], 0.85)).toEqual({ fraction: 0.8 });
  });
});

describe('the widths a nominal is useful in', () => {
  it('end where it is floppy and where it is hard: 0.45 and 0.92 of it (common practice)', () => {
    expect(usefulWidths({ nominalMm: 100 })).toEqual({ leastMm: 45, mostMm: 92 });
  });
});

describe('what a night costs', () => {
  const closed = (wraps: 1 | 2, keptMm: number): HoldTest => ({
    wraps,
    stuffed: false,
    readings: [
      { hours: 0, widthMm: 250 },
      { hours: 24, widthMm: keptMm },
    ],
  });

  it('has a law for each way of closing that was tried, and none for others', () => {
    const laws = holdLaws([closed(2, 248), closed(1, 243), closed(2, 247)]);
    expect(laws.map(({ wraps }) => wraps)).toEqual([2, 1]);
    const [twice, once] = laws.map(({ rate }) => rate!);
    expect(twice!.tests).toBe(2);
    expect(once!.perHour).toBeGreaterThan(twice!.perHour);
    expect(holdLaws([])).toEqual([]);
  });

  it('has no rate where a test cannot be used', () => {
    expect(holdLaws([{ ...closed(2, 248), readings: [{ hours: 5, widthMm: 240 }] }])).toEqual([
      { wraps: 2, rate: null },
    ]);
  });

  it('is twelve hours of the law, on a balloon of usual fill', () => {
    const rate = defaultHoldRate({ wraps: 2, stuffed: false });
    const widthMm = TRADE.nightFraction * inch(11);
    expect(nightLossMm({ rate, nominalMm: inch(11) })).toBeCloseTo(
      widthMm - widthMm * keptShare({ rate, hours: 12 }),
      9,
    );
    // Wrapped once it is more (common practice).
    const once = defaultHoldRate({ wraps: 1, stuffed: false });
    expect(nightLossMm({ rate: once, nominalMm: inch(11) })).toBeGreaterThan(
      nightLossMm({ rate, nominalMm: inch(11) }),
    );
  });
});

describe('two nozzles', () => {
  const rates = { left: 1.1, right: 0.9 };
  const readings = (['left', 'right'] as const).flatMap((nozzle) =>
    [2, 4, 6, 8].map((dose): Reading => ({
      dose,
      nozzle,
      widthMm: Math.cbrt((6e6 * rates[nozzle] * dose) / Math.PI),
      outcome: 'ok',
    })),
  );

  it('fill alike when each is given half of the imbalance', () => {
    const fitted = fitCalibration({ nominalMm: inch(16), readings, pump: { kind: 'twin' } });
    if (!fitted.ok) throw new Error(fitted.problem.code);
    const doses = evenDoses({ fit: fitted.value, dose: 5 });
    expect(doses.left).toBeLessThan(5);
    expect(doses.right).toBeGreaterThan(5);
    // Two nozzles are taken for much alike until readings say otherwise: that pulls by a thousandth.
    expect(doses.left * rates.left).toBeCloseTo(doses.right * rates.right, 1);
    // Neither is turned further from what was asked than the other.
    expect(doses.left * doses.right).toBeCloseTo(25, 9);
    const [left, right] = (['left', 'right'] as const).map((nozzle) =>
      predictWidth({ fit: fitted.value, dose: doses[nozzle], nozzle }),
    );
    if (!left!.ok || !right!.ok) throw new Error('no width');
    expect(left!.value.widthMm).toBeCloseTo(right!.value.widthMm, 3);
  });
});

describe('a foil as its packet describes it', () => {
  it('is a disc when only its width is said, and a pillow with a height too', () => {
    const round = bodyWhenFull({ kind: 'foil', nominalMm: inch(18), lengthMm: null });
    expect(round).toEqual(foilBody({ form: 'disc', flatWidthMm: inch(18) }));
    const letter = bodyWhenFull({ kind: 'foil', nominalMm: inch(18), lengthMm: inch(34) });
    expect(letter).toEqual(foilBody({ form: 'pillow', flatWidthMm: inch(18), flatHeightMm: inch(34) }));
  });

  it('is as wide as its name says when it stretches', () => {
    const sphere = bodyWhenFull({ kind: 'stretch-foil', nominalMm: inch(15), lengthMm: null });
    if (!sphere.ok) throw new Error(sphere.problem.code);
    const { widthMm, heightMm, depthMm, volumeL } = sphere.value;
    expect([widthMm, heightMm, depthMm]).toEqual([inch(15), inch(15), inch(15)]);
    expect(volumeL).toBeCloseTo(sphereVolumeL({ widthMm: inch(15) }), 9);
  });

  it('has the area of a circle or of a rectangle lying flat, and is refused without a size', () => {
    expect(flatAreaMm2({ nominalMm: 200, lengthMm: null })).toBeCloseTo(Math.PI * 100 ** 2, 6);
    expect(flatAreaMm2({ nominalMm: 200, lengthMm: 300 })).toBe(60_000);
    const none = bodyWhenFull({ kind: 'foil', nominalMm: 0, lengthMm: null });
    expect(none).toMatchObject({ ok: false, problem: { code: 'bad-size' } });
  });
});
