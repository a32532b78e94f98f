import * as fc from 'fast-check';

import {
  fitCalibration,
  numberAt,
  resolveTarget,
  sameIn,
  STANDARD_TIERS,
  TRADE,
  tradeWith,
  watchedTrade,
} from '../src';
import type { OwnNumber, Trade } from '../src';
import { ADJUSTABLE, CONSTANTS, constantBounds, constantValue, inOrderOfChange } from '../src/trade/changing';
import { panoramaBeside, panoramaOfShelf } from './panorama';
import { inch } from './results';

const KEYS = [...ADJUSTABLE.keys()];
const code = (own: OwnNumber[], key: string, value: number) => {
  const checked = constantValue({ trade: tradeWith(own), key, value });
  return checked.ok ? null : checked.problem;
};

/** A table without contradictions, somewhere among all there are. */
const tables = fc
  .array(fc.tuple(fc.constantFrom(...KEYS), fc.double({ min: 0, max: 1, noNaN: true })), {
    minLength: 1,
    maxLength: 60,
  })
  .map((picks) => {
    const own = new Map<string, number>();
    for (const [key, share] of picks) {
      const trade = tradeWith(numbersOf(own));
      const { least, most } = constantBounds({ trade, key })!;
      const value = least + share * (most - least);
      if (constantValue({ trade, key, value }).ok) own.set(key, value);
    }
    return numbersOf(own);
  });

function numbersOf(own: ReadonlyMap<string, number>): OwnNumber[] {
  return [...own].map(([key, value]) => ({ key, value }));
}

describe('a studio’s own numbers', () => {
  it('stand in the table in place of its own, the later one of two; all others are the very same', () => {
    const trade = tradeWith([
      { key: 'roundAspect', value: 1.05 },
      { key: 'standing.1.fraction', value: 0.9 },
      { key: 'measureSdMm.tape', value: 2 },
      { key: 'roundAspect', value: 1.08 },
    ]);
    expect([trade.roundAspect, trade.measureSdMm.tape, trade.standing[1]]).toEqual([
      1.08,
      2,
      { days: 1, fraction: 0.9 },
    ]);
    expect([TRADE.roundAspect, TRADE.measureSdMm.tape, TRADE.standing[1]!.fraction]).toEqual([1.06, 1.6, 0.92]);
    expect([trade.standing[0], trade.squeeze]).toEqual([TRADE.standing[0], TRADE.squeeze]);
    expect(trade.squeeze).toBe(TRADE.squeeze);
  });

  it('change nothing by a name that leads to no number, nor by one that says what the table says', () => {
    for (const key of ['nothing', 'roundAspect.more', 'measureSdMm', 'standing.9.fraction', '__proto__.x', ''])
      expect(tradeWith([{ key, value: 3 }])).toBe(TRADE);
    expect(numberAt(TRADE, 'constructor')).toBeUndefined();
    expect(tradeWith([{ key: 'roundAspect', value: TRADE.roundAspect }])).toBe(TRADE);
  });

  it('may be every number there is but the days of the table of standing, each plausible as the table has it', () => {
    const days = KEYS.filter((key) => key.endsWith('.days'));
    expect(days).toEqual([]);
    expect(new Set([...ADJUSTABLE.values()].map(({ constant }) => constant))).toEqual(new Set(Object.keys(TRADE)));
    for (const { key, usual, range, words } of ADJUSTABLE.values()) {
      expect([key, range[0] < range[1], range[0] <= usual && usual <= range[1]]).toEqual([key, true, true]);
      expect([key, code([], key, usual)]).toEqual([key, null]);
      for (const part of Object.keys(words.parts ?? {})) expect(KEYS).toContain(`${keyOf(words)}.${part}`);
    }
  });

  it('are refused out of their range, and by no name', () => {
    expect(code([], 'roundAspect', 1.5)).toMatchObject({
      code: 'implausible',
      field: 'value',
      detail: { least: 1.02 },
    });
    expect(code([], 'roundAspect', Number.NaN)).toMatchObject({ code: 'implausible' });
    expect(code([], 'roundAspect', Infinity)).toMatchObject({ code: 'implausible' });
    expect(code([], 'roundApsect', 1.06)).toMatchObject({ code: 'unknown-constant', field: 'key' });
    expect(code([], 'standing.1.days', 2)).toMatchObject({ code: 'unknown-constant' });
  });

  it('are refused where they contradict another, which is named with the bound it sets', () => {
    // An answer of oval stands for a shape that is oval: more than round, and no pear.
    const wide = [{ key: 'roundAspect', value: 1.1 }];
    expect(code([], 'shapeAnswerAspect.oval', 1.07)).toBeNull();
    expect(code(wide, 'shapeAnswerAspect.oval', 1.07)).toMatchObject({
      code: 'contradicts',
      detail: { least: 1.1, by: 'roundAspect' },
    });
    expect(code(wide, 'shapeAnswerAspect.oval', 1.1)).toMatchObject({ code: 'contradicts' });
    expect(code([], 'standing.2.fraction', 0.93)).toMatchObject({
      code: 'contradicts',
      detail: { most: 0.92, by: 'standing.1.fraction' },
    });
    expect(code([], 'standing.2.fraction', 0.92)).toBeNull();
    expect(code([], 'growthBetween.lines', 0.06)).toMatchObject({
      code: 'contradicts',
      detail: { by: 'aspectGrowth.sd' },
    });
  });

  it('go from any table without contradictions to any other, one number after the other', () => {
    fc.assert(
      fc.property(tables, tables, (own, wished) => {
        const wanted = [...wished, ...own.filter(({ key }) => !wished.some((each) => each.key === key)).map(usual)];
        const steps = inOrderOfChange({ own, wanted })!;
        let now = own;
        for (const step of steps) {
          expect(code(now, step.key, step.value)).toBeNull();
          now = [...now, step];
        }
        expect(tradeWith(now)).toEqual(tradeWith(wished));
      }),
      { numRuns: 60 },
    );
    expect(inOrderOfChange({ own: [], wanted: [{ key: 'roundAspect', value: 2 }] })).toBeNull();
  });
});

describe('what is worked out', () => {
  /** These act in the app alone: what is shown first, and a modelling balloon’s first length. */
  const IN_THE_APP = ['strokeVolumeL', 'usualFraction', 'stuffedFraction'];

  it('follows every number, wherever that acts', () => {
    const parts = [panoramaOfShelf, panoramaBeside].map((panorama) => {
      const { trade, read } = watchedTrade(TRADE);
      return { panorama, read, usually: JSON.stringify(panorama(trade)) };
    });
    const without = [...ADJUSTABLE.values()].filter(({ key, constant, range: [least, most], usual: number }) => {
      const value = most - number > number - least ? (number + most) / 2 : (number + least) / 2;
      const trade = tradeWith([{ key, value }]);
      return !parts.some(
        ({ panorama, read, usually }) => read.has(constant) && JSON.stringify(panorama(trade)) !== usually,
      );
    });
    expect(without.map(({ key }) => key)).toEqual(IN_THE_APP);
  });

  it('stays possible with any table without contradictions', () => {
    const readings = [3, 6, 9, 12].map((dose) => ({
      ...{ dose, widthMm: 62 * Math.cbrt(dose), heightMm: 65 * Math.cbrt(dose) + dose, outcome: 'ok' as const },
    }));
    fc.assert(
      fc.property(tables, (own) => {
        const trade = tradeWith(own);
        const fit = fitCalibration({ nominalMm: inch(5), readings, trade });
        if (!fit.ok) throw new Error(fit.problem.code);
        for (const tier of STANDARD_TIERS) {
          const target = resolveTarget({
            nominalMm: inch(5),
            tier,
            fit: fit.value,
            daysStanding: 3,
            step: 3.175,
            trade,
          });
          if (!target.ok) throw new Error(target.problem.code);
          expect(target.value.widthMm).toBeGreaterThan(inch(1));
          expect(target.value.widthMm).toBeLessThan(inch(6));
        }
      }),
      { numRuns: 100 },
    );
    fc.assert(
      fc.property(tables, (own) => {
        JSON.stringify([panoramaOfShelf(tradeWith(own)), panoramaBeside(tradeWith(own))], (name, value) => {
          if (Number.isNaN(value)) throw new Error(`${name} is no number`);
          return value as unknown;
        });
      }),
      { numRuns: 6 },
    );
  });

  it('tells which numbers it was worked out with', () => {
    const { trade, read } = watchedTrade(TRADE);
    const fit = fitCalibration({ nominalMm: inch(5), readings: [{ dose: 3, widthMm: 90, outcome: 'ok' }], trade });
    expect(fit.ok).toBe(true);
    expect([...read]).toEqual(expect.arrayContaining(['measureSdMm', 'firstDoseSd', 'aspectGrowth']));
    expect([...read]).not.toContain('linkJoint');
    const linked = tradeWith([{ key: 'linkJoint', value: 0.06 }]);
    const taped = tradeWith([{ key: 'measureSdMm.tape', value: 2 }]);
    expect([sameIn(read, TRADE, linked), sameIn(read, TRADE, taped)]).toEqual([true, false]);
    // As it comes back from a worker.
    const copied = JSON.parse(JSON.stringify(TRADE)) as Trade;
    expect([sameIn(read, TRADE, copied), sameIn(read, copied, taped)]).toEqual([true, false]);
  });
});

function usual({ key }: OwnNumber): OwnNumber {
  return { key, value: ADJUSTABLE.get(key)!.usual };
}

function keyOf(words: object): string {
  return Object.entries(CONSTANTS).find(([, each]) => each === words)![0];
}
