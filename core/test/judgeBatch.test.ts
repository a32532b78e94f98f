import { judgeBatch, normalQuantile, type CheckResult, type HoleAnswer } from '../src';

/** What is made of a batch, case by case; how often each verdict falls is in batch.md and numbersHold.test.ts. */

const targetMm = 254;
const toleranceMm = 6;
type Options = Partial<Parameters<typeof judgeBatch>[0]>;

const asked = (results: readonly CheckResult[], more: Options = {}) =>
  judgeBatch({ targetMm, toleranceMm, results, ...more });
const judged = (results: readonly CheckResult[], more: Options = {}) => {
  const made = asked(results, more);
  if (!made.ok) throw new Error(made.problem.code);
  return made.value;
};
const widths = (...mm: number[]): CheckResult[] => mm.map((widthMm) => ({ kind: 'measured', widthMm }));
const answers = (...all: HoleAnswer[]): CheckResult[] => all.map((answer) => ({ kind: 'answer', answer }));
const passing = (count: number): CheckResult[] => answers(...Array.from({ length: count }, () => 'passes' as const));
const between = (stopsMm?: number, passesMm?: number): CheckResult => ({
  kind: 'between',
  ...(stopsMm === undefined ? {} : { stopsMm }),
  ...(passesMm === undefined ? {} : { passesMm }),
});

describe('a batch is refused', () => {
  it.each<[string, CheckResult[], Options, { code: string; field: string }]>([
    ['empty', [], {}, { code: 'no-results', field: 'results' }],
    ['without a target', widths(254), { targetMm: 0 }, { code: 'bad-target', field: 'targetMm' }],
    ['with an endless one', widths(254), { targetMm: Infinity }, { code: 'bad-target', field: 'targetMm' }],
    ['without a tolerance', widths(254), { toleranceMm: 0 }, { code: 'bad-tolerance', field: 'toleranceMm' }],
    ['as wide as itself', widths(254), { toleranceMm: targetMm }, { code: 'bad-tolerance', field: 'toleranceMm' }],
    ['with a width of nothing', widths(254, 0), {}, { code: 'bad-width', field: 'results.1.widthMm' }],
    ['with one three times as wide', widths(3 * targetMm), {}, { code: 'bad-width', field: 'results.0.widthMm' }],
    ['turned round', [...widths(254), between(250, 248)], {}, { code: 'upside-down', field: 'results.1.passesMm' }],
    ['with one hole for both', [between(250, 250)], {}, { code: 'upside-down', field: 'results.0.passesMm' }],
    ['below any hole', [between(undefined, 0)], {}, { code: 'upside-down', field: 'results.0.passesMm' }],
  ])('%s', (_, results, more, problem) => {
    const made = asked(results, more);
    expect(made.ok ? null : made.problem).toMatchObject(problem);
  });

  it('but not with one hole of a pair, or a width just under three targets', () => {
    expect(asked([between(250), between(undefined, 240)]).ok).toBe(true);
    expect(asked(widths(3 * targetMm - 0.1)).ok).toBe(true);
  });
});

describe('where a balloon lies', () => {
  const sides = (...results: CheckResult[]) => {
    const { tooLarge, tooSmall } = judged(results);
    return { tooLarge, tooSmall };
  };

  it('an edge is within', () => {
    expect(sides(...widths(248, 260, 247.9, 260.1, 254))).toEqual({ tooLarge: [3], tooSmall: [2] });
    expect(sides(...answers('falls', 'passes', 'stops'))).toEqual({ tooLarge: [2], tooSmall: [0] });
  });

  it('between two holes by the middle of them; past one hole only by what that tells', () => {
    expect(sides(between(250, 258), between(258, 266), between(240, 246))).toEqual({ tooLarge: [1], tooSmall: [2] });
    expect(sides(between(260.5), between(259.5), between(240))).toEqual({ tooLarge: [0], tooSmall: [] });
    expect(sides(between(undefined, 247.5), between(undefined, 248.5), between(undefined, 270))).toEqual({
      tooLarge: [],
      tooSmall: [0],
    });
  });

  it('a hole wider than it was taken for moves what passed it', () => {
    expect(judged(passing(3), { holeOffMm: 6 })).toMatchObject({ tooLarge: [], meanMm: 260 });
    expect(judged(passing(3), { holeOffMm: 6.1 })).toMatchObject({ tooLarge: [0, 1, 2], meanMm: 260.1 });
    expect(judged(passing(3), { holeOffMm: -7 })).toMatchObject({ tooSmall: [0, 1, 2], meanMm: 247 });
    // Two tell nothing of a batch, nor do many at a hole that is right.
    expect(judged(passing(2), { holeOffMm: 4 }).meanMm).toBeNull();
    expect(judged(passing(9)).meanMm).toBeNull();
  });
});

describe('mean and spread', () => {
  it('of widths, two of them at least', () => {
    expect(judged(widths(250, 254, 261))).toMatchObject({ meanMm: 255, basis: 'widths' });
    expect(judged(widths(250, 254, 261)).spreadMm).toBeCloseTo(Math.sqrt((25 + 1 + 36) / 2), 9);
    expect(judged(widths(250))).toMatchObject({ meanMm: null, spreadMm: null, basis: 'answers' });
    expect(judged([...widths(250, 252), ...answers('passes')])).toMatchObject({ meanMm: 251, basis: 'widths' });
  });

  it('of answers, by the normal law with the shares that were seen', () => {
    const { meanMm, spreadMm, basis } = judged([...passing(7), ...answers('falls', 'stops', 'stops')]);
    const [low, high] = [normalQuantile(1.5 / 11.5), normalQuantile(1 - 2.5 / 11.5)];
    expect(basis).toBe('answers');
    expect(spreadMm).toBeCloseTo(12 / (high - low), 9);
    expect(meanMm).toBeCloseTo(248 - low * spreadMm!, 9);
    expect(judged([...passing(7), ...answers('falls', 'stops', 'stops')], { holeOffMm: 2 }).meanMm).toBeCloseTo(
      meanMm! + 2,
      9,
    );
    expect(judged(answers('falls', 'stops'))).toMatchObject({ meanMm: null, spreadMm: null });
  });

  it('of holes on both sides, by all results together', () => {
    const { meanMm, basis } = judged([between(246, 254), between(246, 254), between(254, 262), between(254, 262)]);
    expect(basis).toBe('holes');
    expect(meanMm).toBeCloseTo(254, 3);
    // Holes that all stopped them tell no law: it may lie anywhere above.
    expect(judged([between(250), between(252)])).toMatchObject({ meanMm: null, spreadMm: null, basis: 'holes' });
  });
});

describe('verdict and advice', () => {
  const said = (results: readonly CheckResult[], more: Options = {}) => {
    const { verdict, advice } = judged(results, more);
    return { verdict, advice };
  };

  it('carries on where all pass, from seven on: fewer could hide three tenths outside', () => {
    // Of n that all pass, 1 - 0.1^(1/n) may lie outside (Clopper and Pearson, one side, 90 %).
    expect(1 - 0.1 ** (1 / 6)).toBeGreaterThan(0.3);
    expect(1 - 0.1 ** (1 / 7)).toBeLessThan(0.3);
    expect(said(passing(7))).toEqual({ verdict: 'even', advice: [{ code: 'carry-on' }] });
    expect(said(passing(6))).toEqual({ verdict: 'too-few', advice: [{ code: 'check-more', atLeast: 1 }] });
    expect(said(passing(3))).toEqual({ verdict: 'too-few', advice: [{ code: 'check-more', atLeast: 4 }] });
    expect(said(passing(1))).toEqual({ verdict: 'too-few', advice: [{ code: 'check-more', atLeast: 6 }] });
  });

  it('asks for twenty more at most', () => {
    const some = [...passing(3), ...answers('falls', 'stops')];
    expect(said(some)).toMatchObject({ verdict: 'too-few' });
    const [, , more] = said(some).advice;
    expect(more).toEqual({ code: 'check-more', atLeast: expect.any(Number) as number });
    expect(more).toHaveProperty('atLeast', 11);
  });

  it('of a whole batch it has seen all', () => {
    expect(said(passing(2), { whole: true })).toEqual({ verdict: 'even', advice: [{ code: 'carry-on' }] });
    expect(said([...passing(4), ...answers('stops')], { whole: true })).toEqual({
      verdict: 'some-off',
      advice: [{ code: 'let-out', indices: [4] }, { code: 'carry-on' }],
    });
  });

  it('says which are off, and the rest are right', () => {
    expect(said([...passing(18), ...answers('falls', 'stops')])).toEqual({
      verdict: 'some-off',
      advice: [{ code: 'let-out', indices: [19] }, { code: 'add-air', indices: [18] }, { code: 'carry-on' }],
    });
  });

  it('sizes every one where more than a quarter, three at least, are off on both sides', () => {
    const off = answers('falls', 'stops', 'stops');
    expect(said([...passing(8), ...off])).toMatchObject({ verdict: 'uneven' });
    expect(said([...passing(8), ...off]).advice.at(-1)).toEqual({ code: 'size-every-one' });
    expect(said([...passing(9), ...off]).verdict).toBe('too-few');
    expect(said([...passing(2), ...answers('falls', 'stops')]).verdict).toBe('too-few');
  });

  it('fills less or more where the whole batch leans, by how much when it was measured', () => {
    const large = [5, 6, 5.5, 6, 5, 5.5];
    const leaning = (sign: number) => said(widths(...large.map((off) => targetMm + sign * off)));
    expect(leaning(1)).toEqual({ verdict: 'off-centre', advice: [{ code: 'fill-less', byMm: 5.5 }] });
    expect(leaning(-1)).toEqual({ verdict: 'off-centre', advice: [{ code: 'fill-more', byMm: 5.5 }] });
    expect(said(passing(8), { holeOffMm: 4.6 })).toEqual({
      verdict: 'off-centre',
      advice: [{ code: 'fill-less', byMm: null }],
    });
    expect(said(passing(8), { holeOffMm: 4.5 }).verdict).toBe('even');
    expect(said([...passing(1), ...answers('stops', 'stops', 'stops')]).verdict).toBe('off-centre');
  });

  it('a lean that is not sure, or that hardly matters, is none', () => {
    // 3 off give or take 4: five of them leave the mean open.
    expect(said(widths(253, 261, 260, 257, 252)).verdict).not.toBe('off-centre');
    // A sure lean of a quarter puts hardly any outside.
    expect(said(widths(255.4, 255.6, 255.5, 255.6, 255.4, 255.5, 255.5, 255.5)).verdict).toBe('even');
    // One of 3 with a spread of 2.5 puts one in nine outside where centring would leave one in sixty.
    const wide = [-2.5, 2.5, -2.5, 2.5, -2.5, 2.5, -2.5, 2.5, -2.5, 2.5, -2.5, 2.5].map((off) => targetMm + 3 + off);
    expect(said(widths(...wide)).verdict).toBe('off-centre');
  });

  it('measured alike are even; measured unlike are uneven for sure', () => {
    expect(said(widths(254, 254, 254)).verdict).toBe('even');
    const apart = [-8, 8, -8, 8, -8, 8, -8, 8].map((off) => targetMm + off);
    expect(said(widths(...apart)).verdict).toBe('uneven');
  });
});
