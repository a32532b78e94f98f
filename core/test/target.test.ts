import {
  chooseHole,
  fitCalibration,
  judgeBatch,
  resolveTarget,
  STANDARD_TIERS,
  standingFraction,
  STEP_MM,
  type CheckResult,
  type Aim,
} from '../src';
import { ELEVEN, readingsOf } from './physicalBalloon';
import { inch } from './results';

const tierCalled = (name: string): Aim => STANDARD_TIERS.find((tier) => tier.name === name)!;
const full = tierCalled('Full');
const classic = tierCalled('Classic');
const bud = tierCalled('Bud');
const measured = fitCalibration({
  nominalMm: inch(11),
  readings: readingsOf({ balloon: ELEVEN, doses: [1, 2, 3, 4, 5, 6, 7, 8, 9], sdMm: 0.5 }),
});
if (!measured.ok) throw new Error(measured.problem.code);
const fit = measured.value;

function target(options: Partial<Parameters<typeof resolveTarget>[0]> = {}) {
  const result = resolveTarget({
    nominalMm: inch(11),
    tier: classic,
    fit: null,
    daysStanding: 1,
    step: STEP_MM.eighthInch,
    ...options,
  });
  if (!result.ok) throw new Error(result.problem.code);
  return result.value;
}

describe('resolveTarget', () => {
  it('holds an 11 in balloon at its round limit when the tier asks for more', () => {
    const held = target({ fit, tier: { ...full, shape: 'round' } });
    expect(held.reasons[1]).toMatchObject({ code: 'round-limit', state: 'acts' });
    expect(held.widthMm).toBeLessThanOrEqual(fit.shape.roundLimit.kind === 'shown' ? fit.shape.roundLimit.widthMm : 0);
    expect(held.origin).toBe('measured');
  });

  it('keeps the limits that did not act, after those that did', () => {
    const soft = target({ fit, tier: bud });
    expect(soft.reasons.map((r) => ('state' in r ? r.state : 'tier'))).toEqual(['tier', 'room', 'room', 'room']);
  });

  it('goes smaller the longer a piece stands', () => {
    const widths = [1, 3, 7, 21, 60].map((daysStanding) => target({ daysStanding }).widthMm);
    expect([...widths].sort((a, b) => b - a)).toEqual(widths);
    expect(widths[3]! / inch(11)).toBeLessThanOrEqual(0.65);
    expect(standingFraction({ days: 5 })).toBeCloseTo(0.825, 9);
  });

  it('gives the dose to the half stroke with the width it really gives', () => {
    const { dose, widthMm } = target({ fit });
    expect(dose!.dose * 2).toBe(Math.round(dose!.dose * 2));
    expect(Math.abs(dose!.widthMm - widthMm)).toBeLessThan(8);
    expect(dose!.lowMm).toBeLessThan(dose!.widthMm);
  });

  it('stays under a width that burst or felt hard', () => {
    const readings = readingsOf({ balloon: ELEVEN, doses: [2, 4, 6], sdMm: 0 });
    const burst = fitCalibration({
      nominalMm: inch(11),
      readings: [...readings, { dose: 7, widthMm: 245, outcome: 'burst' }],
    });
    const held = target({ fit: burst.ok ? burst.value : null });
    expect(held.widthMm).toBeLessThanOrEqual(245 * 0.9);
    expect(held.reasons[1]).toMatchObject({ code: 'burst', state: 'acts' });
  });

  it('says what is only estimated and what is out of proportion', () => {
    const one = fitCalibration({ nominalMm: inch(11), readings: [{ dose: 3, widthMm: 185, outcome: 'ok' }] });
    expect(target({ fit: one.ok ? one.value : null })).toMatchObject({ origin: 'estimated' });
    expect(target({ fit: one.ok ? one.value : null }).cautions.map((c) => c.code)).toContain(
      'dead-volume-assumed-zero',
    );
    expect(target({ tier: { fraction: 0.4 } }).cautions).toMatchObject([{ code: 'nominal-too-large', fraction: 0.4 }]);
    expect(target()).toMatchObject({ origin: 'rule', dose: null });
  });

  it.each([
    [{ nominalMm: -1 }, 'bad-nominal'],
    [{ tier: { fraction: 0 } }, 'bad-fraction'],
    [{ daysStanding: -1 }, 'bad-days'],
    [{ daysStanding: NaN }, 'bad-days'],
    [{ step: 0 }, 'bad-step'],
  ])('refuses %j', (options, code) => {
    const result = resolveTarget({ nominalMm: 279.4, tier: classic, fit: null, daysStanding: 1, step: 1, ...options });
    expect(!result.ok && result.problem.code).toBe(code);
  });
});

describe('chooseHole', () => {
  const holes = [4, 5, 6, 9, 10].map((size) => ({ label: String(size), widthMm: inch(size) }));
  const choose = (size: number) => chooseHole({ targetMm: inch(size), holes });

  it('takes the hole of the same size', () => {
    expect(choose(10)).toMatchObject({ ok: true, value: { how: 'just-passes', hole: { label: '10' } } });
  });

  it('leaves half an inch of gap in the 6 in hole for 5.5 in (common practice)', () => {
    const choice = choose(5.5);
    expect(choice).toMatchObject({ ok: true, value: { how: 'gap', hole: { label: '6' } } });
    expect(choice.ok && choice.value.how === 'gap' && choice.value.gapMm).toBeCloseTo(12.7, 9);
  });

  it('says when no hole is large enough, or there is none', () => {
    expect(choose(10.5)).toMatchObject({ ok: false, problem: { code: 'none-large-enough' } });
    expect(chooseHole({ targetMm: 1, holes: [] })).toMatchObject({
      ok: false,
      problem: { code: 'no-holes' },
    });
  });
});

describe('judgeBatch', () => {
  const judge = (results: CheckResult[]) => {
    const result = judgeBatch({ targetMm: 254, toleranceMm: 6.35, results });
    if (!result.ok) throw new Error(result.problem.code);
    return result.value;
  };
  const widths = (...mm: number[]): CheckResult[] => mm.map((widthMm) => ({ kind: 'measured', widthMm }));
  const answers = (text: string): CheckResult[] =>
    [...text].map((c) => ({ kind: 'answer', answer: c === '+' ? 'stops' : c === '-' ? 'falls' : 'passes' }));

  it('passes an even batch', () => {
    const even = judge(widths(252, 254, 255, 256, 253, 254));
    expect(even).toMatchObject({ verdict: 'even', advice: [{ code: 'carry-on' }], basis: 'widths' });
    expect(even.meanMm).toBeCloseTo(254, 9);
    expect(even.spreadMm).toBeCloseTo(Math.SQRT2, 9);
  });

  it('names the one that is small, and what to do', () => {
    const batch = judge(answers('=====-======'));
    expect(batch.verdict).toBe('some-off');
    expect(batch.advice[0]).toEqual({ code: 'add-air', indices: [5] });
    expect(batch.outside.share).toBeCloseTo(1 / 12, 9);
    expect(batch.outside.high).toBeCloseTo(0.3848, 3);
  });

  it('tells a batch that leans from one that scatters', () => {
    expect(judge(widths(260, 261, 262, 260, 261, 262)).advice).toContainEqual({
      code: 'fill-less',
      byMm: expect.closeTo(7, 6),
    });
    expect(judge(answers('+++++++=====')).verdict).toBe('off-centre');
    expect(judge(answers('-------=====')).advice).toContainEqual({ code: 'fill-more', byMm: null });
    expect(judge(answers('++--=+-=+-==')).verdict).toBe('uneven');
  });

  it('estimates mean and spread from answers as the normal law that has those shares', () => {
    const { meanMm, spreadMm } = judge(answers(`${'+'.repeat(16)}${'='.repeat(68)}${'-'.repeat(16)}`));
    expect(meanMm).toBeCloseTo(254, 6);
    expect(spreadMm).toBeCloseTo(6.35, 0);
  });

  it('counts the edge as within, in inches too', () => {
    expect(judge(widths(254 + 6.35, 254 - 6.35, 254)).outside.share).toBe(0);
  });

  it('gives no verdict on two, and refuses what cannot be', () => {
    expect(judge(answers('=='))).toMatchObject({
      verdict: 'too-few',
      // Seven that pass show, nine times in ten, that fewer than three in ten are off.
      advice: [{ code: 'check-more', atLeast: 5 }],
    });
    const code = (o: object) => {
      const r = judgeBatch({ targetMm: 254, toleranceMm: 6, results: widths(250), ...o });
      return r.ok ? null : [r.problem.code, r.problem.field];
    };
    expect(code({ results: [] })).toEqual(['no-results', 'results']);
    expect(code({ results: widths(254, -1) })).toEqual(['bad-width', 'results.1.widthMm']);
    expect(code({ targetMm: 0 })).toEqual(['bad-target', 'targetMm']);
    expect(code({ toleranceMm: 300 })).toEqual(['bad-tolerance', 'toleranceMm']);
  });
});
