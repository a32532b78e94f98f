import fc from 'fast-check';

import { TRADE } from '../src';
import {
  factorsOff,
  howExact,
  simulatePiece,
  spreadAllowed,
  stackLayers,
  touchingRing,
  trialSeed,
  unevenStack,
  type HeldBy,
  type SimulatedPiece,
} from '../src/building';
import { meanOf } from '../src/statistics';
import { inch, problemOf, value } from './results';

const column = (layers: number, { count = 4, heldBy = 'pole' as HeldBy, widthMm = inch(10) } = {}): SimulatedPiece => ({
  layers: Array.from({ length: layers }, () => ({ count, widthMm })),
  heldBy,
  fixedMm: 0,
});
const built = (piece: SimulatedPiece, sd: number, { lean = 0, trials = 1500, seed = 5 } = {}) =>
  value(simulatePiece({ piece, spread: { lean, sd }, trials, seed }));

describe('the height of a column that is built again and again', () => {
  /**
   * Closed form for independent layers: a layer's mean width varies by sd w / sqrt(n). Every rise is `packing` k times
   * the mean of two layers, k the published height of an antiprism; the lowest and the highest add half a width each.
   */
  it.each([
    [8, 4],
    [14, 3],
    [10, 5],
  ])('spreads as %d independent layers of %d do', (layers, count) => {
    const w = inch(10);
    const k = Math.sqrt(1 - (1 / (2 * Math.cos(Math.PI / (2 * count)))) ** 2);
    const inner = TRADE.packing * k;
    const outer = (inner + 1) / 2;
    const sd = 0.02;
    const closed = ((sd * w) / Math.sqrt(count)) * Math.sqrt((layers - 2) * inner ** 2 + 2 * outer ** 2);
    const { found, evenMm } = built(column(layers, { count }), sd, { trials: 2500 }).measures.height!;
    // Of 2,500 pieces a deviation is known to 1.4 %: three times that.
    expect(Math.abs(found.sd / closed - 1)).toBeLessThan(0.042);
    expect(evenMm).toBeCloseTo((layers - 1) * inner * w + w, 3);
    expect(Math.abs(found.mean / evenMm - 1)).toBeLessThan(0.001);
  });

  it('is off as its balloons are on the whole: three in a hundred too small is seen on every one', () => {
    const { good, measures, worst } = built(column(8), 0.005, { lean: -0.03 });
    expect([good, worst]).toEqual([0, 'height']);
    expect(measures.height!.found.mean / measures.height!.evenMm).toBeCloseTo(0.97, 3);
  });
});

describe('lean', () => {
  it('is none on a pole', () => {
    expect(built(column(8), 0.05).measures.lean).toBeUndefined();
  });

  /** Slopes add up, and their sum adds up once more: after n layers as the root of the sum of squares up to n. */
  it('of a column on line grows with the power of one and a half of its layers', () => {
    const sdOf = (layers: number) => {
      const { found } = built(column(layers, { heldBy: 'line' }), 0.005, { trials: 1000 }).measures.lean!;
      return Math.hypot(found.mean, found.sd);
    };
    const walk = (layers: number) =>
      Math.sqrt(Array.from({ length: layers - 1 }, (_, j) => j * j).reduce((a, b) => a + b));
    expect(sdOf(24) / sdOf(8) / (walk(24) / walk(8))).toBeCloseTo(1, 1);
  });

  it('is what brings a layer nearer to what it rests on than a level one is', () => {
    const layers = [...column(3).layers, { count: 1, widthMm: inch(14) }];
    const made = value(unevenStack({ layers, spread: { lean: 0, sd: 0.02 }, seed: 2, heldBy: 'line' }));
    const level = value(unevenStack({ layers, spread: { lean: 0, sd: 0.02 }, seed: 2 }));
    const top = (stack: typeof made) => stack.balloons.at(-1)!;
    const leanOf = (stack: typeof made) => Math.hypot(top(stack).xMm, top(stack).yMm);
    expect(made.balloons.map(({ widthMm }) => widthMm)).toEqual(level.balloons.map(({ widthMm }) => widthMm));
    expect(leanOf(made)).toBeGreaterThan(1);
    expect(leanOf(level)).toBe(0);
    const squares = (stack: typeof made) => {
      const [low, mid] = [0, 1].map((layer) => stack.balloons.filter((balloon) => balloon.layer === layer));
      const rise = meanOf(mid!.map(({ zMm }) => zMm)) - meanOf(low!.map(({ zMm }) => zMm));
      return (
        mid!
          .flatMap((upper) =>
            low!.flatMap((lower) => {
              const level2 = (upper.xMm - lower.xMm) ** 2 + (upper.yMm - lower.yMm) ** 2;
              const rest2 = ((upper.widthMm + lower.widthMm) / 2) ** 2 - level2;
              if (level2 > inch(7) ** 2) return [];
              return [(TRADE.packing * Math.sqrt(rest2) - (upper.zMm - lower.zMm)) ** 2];
            }),
          )
          .reduce((sum, each) => sum + each, 0) /
        rise ** 2
      );
    };
    expect(squares(made)).toBeLessThan(squares(level));
  });
});

describe('how exact a column must be', () => {
  /** Common practice: on a pole customers never notice what a practised eye does; on line one wrong balloon leans it. */
  it('is by eye on a pole, and by sizer on line', () => {
    const { eye, sizer } = TRADE.handSpread;
    expect(built(column(8), eye).good).toBeGreaterThan(0.9);
    expect(built(column(8, { heldBy: 'line' }), eye).good).toBeLessThan(0.5);
    expect(built(column(8, { heldBy: 'line' }), sizer / 2).good).toBeGreaterThan(0.9);
  });

  it('is answered with the quickest way that is good enough', () => {
    const asked = { trials: 300, seed: 3 };
    const pole = value(howExact({ ...asked, piece: column(8) }));
    expect(pole.enough).toBe('eye');
    expect(pole.allowed.sd).toBeGreaterThan(TRADE.handSpread.eye);
    expect(value(howExact({ ...asked, piece: column(8, { heldBy: 'line' }) })).enough).toBe('checked');
    expect(value(howExact({ ...asked, piece: column(24, { heldBy: 'line' }) })).enough).toBeNull();
    const own = { sizer: { lean: 0, sd: 0.006 } };
    expect(value(howExact({ ...asked, piece: column(8, { heldBy: 'line' }), own })).enough).toBe('sizer');
  });

  it('is told of on the way, also of a spread that someone chose, and says what is wrong with that', () => {
    const told: string[] = [];
    const piece = column(2);
    const asked = { piece, trials: 500, seed: 3, onDone: (built: number, of: number) => told.push(`${built}/${of}`) };
    const { chosen, ways } = value(howExact({ ...asked, chosen: { lean: 0, sd: TRADE.handSpread.eye } }));
    expect(told).toEqual(['500/2000', '1000/2000', '1500/2000', '2000/2000']);
    expect(chosen).toEqual(ways.eye);
    const refused = (sd: number) => problemOf(howExact({ ...asked, chosen: { lean: 0, sd } }));
    expect(refused(0)).toMatchObject({ code: 'no-spread', field: 'chosen.sd' });
    expect(refused(0.5)).toMatchObject({ code: 'wide-spread', field: 'chosen.sd' });
  });

  it('is the spread with which the wanted share shows nothing, and no more', () => {
    const piece = column(8, { heldBy: 'line' });
    const asked = { piece, trials: 400, seed: 9 };
    const { sd, any } = value(spreadAllowed({ ...asked, share: 0.8 }));
    expect(any).toBe(false);
    expect(value(simulatePiece({ ...asked, spread: { lean: 0, sd } })).good).toBeGreaterThanOrEqual(0.8);
    expect(value(simulatePiece({ ...asked, spread: { lean: 0, sd: 1.05 * sd } })).good).toBeLessThan(0.8);
    expect(value(spreadAllowed({ ...asked, share: 0.95 })).sd).toBeLessThan(sd);
  });

  it('is nothing that exactness mends where all are too small, and anything for a single balloon', () => {
    expect(value(spreadAllowed({ piece: column(8), trials: 200, seed: 1, lean: -0.05 }))).toEqual({
      sd: 0,
      any: false,
    });
    const trade = { ...TRADE, seen: { ...TRADE.seen, height: 5 } };
    const one = { ...column(1, { count: 1 }), fixedMm: inch(60) };
    expect(value(spreadAllowed({ piece: one, trials: 200, seed: 1, trade }))).toMatchObject({ any: true });
  });
});

describe('pieces that are built again and again', () => {
  it('are those that are laid one by one', () => {
    const piece = { ...column(5, { heldBy: 'line' }), layers: [...column(5).layers, { count: 1, widthMm: inch(14) }] };
    const spread = { lean: 0.01, sd: 0.04 };
    const { measures, poor } = value(simulatePiece({ piece, spread, trials: 200, seed: 11 }));
    const laid = (trial: number) => value(unevenStack({ ...piece, spread, seed: trialSeed(11, trial) }));
    const heights = Array.from({ length: 200 }, (_, trial) => laid(trial).heightMm);
    expect(measures.height!.found.mean).toBeCloseTo(meanOf(heights), 6);
    // The poor one leans nearly as far as any of them.
    const leanOf = (trial: number) => {
      const { xMm, yMm } = laid(trial).balloons.at(-1)!;
      return Math.hypot(xMm, yMm);
    };
    expect(leanOf(poor)).toBeGreaterThan(measures.lean!.found.median);
  });

  it('are told of on the way, and are the same again', () => {
    const told: number[] = [];
    const once = built(column(2), 0.03, { trials: 1500 });
    simulatePiece({
      piece: column(2),
      spread: { lean: 0, sd: 0.03 },
      trials: 1500,
      seed: 5,
      onDone: (n) => told.push(n),
    });
    expect(told).toEqual([500, 1000, 1500]);
    expect(built(column(2), 0.03, { trials: 1500 })).toEqual(once);
    expect(built(column(2), 0.03, { trials: 1500, seed: 6 })).not.toEqual(once);
  });

  it('of balloons that are all checked have none outside what is let pass', () => {
    const next = factorsOff({ lean: 0.01, sd: 0.05, within: 0.02 }, 4);
    const offs = Array.from({ length: 2000 }, () => next() - 1);
    expect(Math.max(...offs.map(Math.abs))).toBeLessThanOrEqual(0.02);
    // Cut so narrowly a normal law is all but even: a third of the squared half width.
    expect(Math.sqrt(meanOf(offs.map((off) => off * off)))).toBeCloseTo(0.02 / Math.sqrt(3), 3);
  });

  it('of one size twice as large are twice as large, and of longer balloons still hold together', () => {
    const [small, large] = [built(column(6), 0.04), built(column(6, { widthMm: inch(20) }), 0.04)];
    for (const fault of ['height', 'gap', 'opening', 'drift'] as const)
      expect(large.measures[fault]!.found.high).toBeCloseTo(2 * small.measures[fault]!.found.high, 6);
    const layers = column(6).layers.map((layer) => ({ ...layer, aspect: 1.15 }));
    const long = value(
      simulatePiece({ piece: { ...column(6), layers }, spread: { lean: 0, sd: 0.001 }, trials: 200, seed: 1 }),
    );
    expect(long.measures.height!.found.mean).toBeCloseTo(value(stackLayers({ layers })).heightMm, 0);
    expect(long.good).toBe(1);
  });

  it('of mixed counts with a balloon on top have their contacts all the same', () => {
    const layers = [...column(4, { count: 5 }).layers, ...column(2).layers, { count: 1, widthMm: inch(20) }];
    const piece = { layers, heldBy: 'line' as const, fixedMm: 100 };
    const { measures } = built(piece, 0.005, { trials: 300 });
    const even = value(stackLayers({ layers })).heightMm + 100;
    expect(measures.height!.evenMm).toBeCloseTo(even, 6);
    expect(Math.abs(measures.height!.found.mean / even - 1)).toBeLessThan(0.01);
  });

  /** As three rings straight upon each other, whatever small ones lie between: closed form as above, each rise a mean. */
  it('rest on the next large layer where small ones lie between', () => {
    const [w, sd, p] = [inch(9), 0.02, TRADE.packing];
    const layers = [9, 4, 9, 4, 9].map((inches) => ({ count: 4, widthMm: inch(inches) }));
    const piece: SimulatedPiece = { layers, heldBy: 'pole', fixedMm: 0 };
    const { found, evenMm } = built(piece, sd, { trials: 2500 }).measures.height!;
    expect(evenMm).toBeCloseTo(w + 2 * p * w, 6);
    const closed = ((sd * w) / 2) * Math.sqrt(2 * ((1 + p) / 2) ** 2 + p ** 2);
    expect(Math.abs(found.sd / closed - 1)).toBeLessThan(0.042);
    expect(Math.abs(found.mean / evenMm - 1)).toBeLessThan(0.002);
  });

  it('are refused with what is wrong', () => {
    const asked = { piece: column(3), spread: { lean: 0, sd: 0.02 }, trials: 1000, seed: 1 };
    const refused = (more: Partial<typeof asked>) => problemOf(simulatePiece({ ...asked, ...more }));
    expect(refused({ trials: 10 })).toMatchObject({ code: 'bad-trials', field: 'trials', detail: { least: 200 } });
    expect(refused({ spread: { lean: 0, sd: 0 } })).toMatchObject({ code: 'no-spread', field: 'spread.sd' });
    expect(refused({ spread: { lean: 0, sd: 0.5 } })).toMatchObject({ code: 'wide-spread', detail: { most: 0.25 } });
    expect(refused({ spread: { lean: -0.3, sd: 0.1 } })).toMatchObject({ code: 'wide-spread', field: 'spread.lean' });
    expect(refused({ piece: { ...column(3), layers: [] } })).toMatchObject({ code: 'no-layers' });
    expect(problemOf(spreadAllowed({ ...asked, lean: 0.4 }))).toMatchObject({ code: 'wide-spread', field: 'lean' });
    expect(problemOf(spreadAllowed({ ...asked, trials: 1 }))).toMatchObject({ code: 'bad-trials' });
  });
});

describe('a ring of circles of any widths', () => {
  it('goes once around, or is as small as its largest pair lets it', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 1, max: 1000, noNaN: true }), { minLength: 2, maxLength: 9 }), (widths) => {
        const { radiusMm } = touchingRing(widths);
        const chords = widths.map((widthMm, i) => (widthMm + widths[(i + 1) % widths.length]!) / 2);
        const around = chords.reduce((sum, chord) => sum + 2 * Math.asin(Math.min(1, chord / (2 * radiusMm))), 0);
        const least = Math.max(...chords) / 2;
        if (radiusMm > least * (1 + 1e-8)) expect(around).toBeCloseTo(2 * Math.PI, 6);
        else expect(around).toBeLessThan(2 * Math.PI + 1e-4);
      }),
    );
  });
});
