import { TRADE } from '@leggero/core';
import type { CalibrationRecord, CheckRecord, SizerRecord } from '@leggero/contract';

import { viewCheck } from '@/views/checkView';
import {
  bestHole,
  checkHoleOffMm,
  correctedCalibrations,
  correctedResult,
  holesById,
  holesNow,
  nearestOfAll,
  squeezeOf,
} from '@/views/holes';

import { someRecords } from './studio';

const inch = (inches: number) => inches * 25.4;
const DAY = (day: number) => `2026-11-${String(day).padStart(2, '0')}T10:00:00.000Z`;

/** The plate of 9, 10 and 11, its 10 measured on the 20th. */
function plates(acrossMm?: number): SizerRecord[] {
  const { sizers } = someRecords();
  const hole = sizers[0]!.holes[1]!;
  if (acrossMm) {
    hole.measurements = [{ id: 'x', holeId: hole.id, acrossMm, downMm: null, way: 'caliper', takenAt: DAY(20) }];
  }
  return sizers;
}
const TEN = plates()[0]!.holes[1]!.id;

describe('the best hole', () => {
  it('is chosen by what holes measure', () => {
    const wanted = { targetMm: inch(9.5), toleranceMm: 6.35 };
    expect(bestHole(plates(), wanted, TRADE)?.choice).toMatchObject({
      how: 'gap',
      hole: { label: '10' },
      gapMm: expect.closeTo(12.7, 6),
    });
    expect(bestHole(plates(inch(9.55)), wanted, TRADE)?.choice).toMatchObject({
      how: 'just-passes',
      hole: { label: '10' },
    });
  });

  it('of two sizers is the one of the target’s own size, then the one with the smaller gap', () => {
    const [plate] = plates();
    const fine: SizerRecord = {
      ...plate!,
      id: 'y',
      name: 'Fine',
      holes: [{ id: 'f', label: '9¾', widthMm: inch(9.75), measurements: [] }],
    };
    expect(bestHole([plate!, fine], { targetMm: inch(9.5) }, TRADE)?.sizer.name).toBe('Fine');
    expect(bestHole([plate!, fine], { targetMm: inch(9) }, TRADE)?.sizer.name).toBe('Plate');
    expect(bestHole([plate!], { targetMm: inch(12) }, TRADE)).toBeNull();
  });

  it('counts with the squeeze once a balloon was measured after sizing, and not before', () => {
    const [plate] = plates();
    const wanted = { targetMm: inch(10) + 4, nominalMm: inch(11) };
    expect(bestHole([plate!], wanted, TRADE)?.choice).toMatchObject({ how: 'gap', hole: { label: '11' } });
    const sizings = Array.from({ length: 30 }, (_, i) => ({
      id: String(i),
      holeId: TEN,
      nominalMm: inch(11),
      widthMm: inch(10) + 4,
      takenAt: DAY(20),
    }));
    const learned = [{ ...plate!, sizings }];
    expect(squeezeOf(learned, TRADE).origin).toBe('measured');
    expect(bestHole(learned, wanted, TRADE)?.choice).toMatchObject({ how: 'just-passes', hole: { label: '10' } });
    expect(nearestOfAll(learned, wanted, TRADE)?.hole.label).toBe('10');
    expect(
      holesNow(plate!, TRADE, { squeeze: squeezeOf([plate!], TRADE), nominalMm: inch(11) }).every(
        (hole) => hole.passesMm === undefined,
      ),
    ).toBe(true);
  });
});

describe('what was taken through a hole', () => {
  const calibration = (holeId: string | null): CalibrationRecord => {
    const [first] = someRecords().models[0]!.calibrations;
    const reading = { ...first!.readings[0]!, way: 'hole' as const, widthMm: inch(10), holeId, takenAt: DAY(21) };
    return { ...first!, readings: [reading] };
  };

  it('follows the hole’s measurement; what was not stays the very same record', () => {
    const holes = holesById(plates(250));
    const [through] = correctedCalibrations([calibration(TEN)], holes);
    expect(through!.readings[0]!.widthMm).toBe(250);
    const plain = calibration(null);
    expect(correctedCalibrations([plain], holes)[0]).toBe(plain);
    const [unmeasured] = correctedCalibrations([calibration(TEN)], holesById(plates()));
    expect(unmeasured!.readings[0]!.widthMm).toBe(inch(10));
  });

  it('shifts a past check by as much as its hole was off, and moves the bounds of two holes', () => {
    const holes = holesById(plates(250));
    const check = { ...someRecords().models[0]!.checks[0]!, holeId: TEN, holeMm: inch(10) };
    expect(checkHoleOffMm(check, holes)).toBeCloseTo(250 - inch(10), 9);
    expect(checkHoleOffMm({ ...check, holeId: null, holeMm: null }, holes)).toBe(0);
    const result = { ...check.results[0]!, answer: null, passesHoleId: TEN, passesMm: inch(10), stopsMm: inch(9) };
    expect(correctedResult(result, holes)).toMatchObject({ passesMm: 250, stopsMm: inch(9) });
  });

  it('changes the verdict with it', () => {
    const answers = (count: number): CheckRecord => {
      const [check] = someRecords().models[0]!.checks;
      const result = { ...check!.results[0]!, answer: 'passes' as const };
      return {
        ...check!,
        size: count,
        holeId: TEN,
        holeMm: inch(10),
        results: Array.from({ length: count }, (_, position) => ({ ...result, id: String(position), position })),
      };
    };
    expect(viewCheck(answers(8), plates()).judgement?.verdict).toBe('even');
    const after = viewCheck(answers(6), plates(inch(10) - 9));
    expect(after.judgement).toMatchObject({ verdict: 'off-centre', tooSmall: [0, 1, 2, 3, 4, 5] });
    expect(after.judgement!.advice.map(({ code }) => code)).toContain('fill-more');
    expect(after.holeOffMm).toBeCloseTo(-9, 9);
  });

  it('stands by its lot: going on, right, or to be sized again', () => {
    const [check] = someRecords().models[0]!.checks;
    const lot = (acceptMost: number, size: number) =>
      viewCheck({ ...check!, lotSize: 96, acceptMost, size }, plates()).lot;
    expect(lot(1, 13)).toMatchObject({ state: 'going', off: 1 });
    expect(lot(1, 2)).toMatchObject({ state: 'accepted' });
    expect(lot(0, 13)).toMatchObject({ state: 'rejected' });
    expect(viewCheck(check!, plates()).lot).toBeNull();
  });
});
