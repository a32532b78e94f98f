import { fitCalibration, judgeBatch, resolveTarget, type CheckResult } from '@leggero/core';

import { draftProblem, proposedDraft, readingOf } from '@/features/reading/draft';
import { contrastOf } from './contrast';
import { inkOn } from '@/parts/Balloon';
import { DAY, EVENING } from '@/ui/palette';
import { adviceText, outsideText, verdictText } from '@/wording/batch';
import { needText } from '@/wording/calibration';
import { heldBecause, nextText, outlierText, reasonText, roundLimitText } from '@/wording/target';
import { counted, dosed, doseText, numbersOf, standing } from '@/wording/trade';

const inches = (mm: number) => `${Math.round((mm / 25.4) * 8) / 8} in`;

describe('wording', () => {
  it('speaks of strokes, counts and days as people do', () => {
    expect([0.5, 1, 3.5, 47].map((dose) => dosed(dose, 'hand'))).toEqual([
      '½ stroke',
      '1 stroke',
      '3½ strokes',
      '47 strokes',
    ]);
    expect([doseText(2.25), dosed(2.4, 'timed')]).toEqual(['2.25', '2.4 s']);
    expect([counted(1, 'reading'), counted(0, 'reading')]).toEqual(['1 reading', '0 readings']);
    expect([0, 1, 3, 7, 21].map(standing)).toEqual(['for the evening', '1 day', '3 days', '1 week', '3 weeks']);
    expect([numbersOf([5]), numbersOf([0, 3, 8])]).toEqual(['number 6', 'numbers 1, 4 and 9']);
  });

  it('tells what holds a target, and the chain of reasons', () => {
    const readings = [120, 180, 210, 232, 250].map((widthMm, i) => ({
      dose: 2 * i + 1,
      widthMm,
      heightMm: widthMm * (i < 4 ? 1 : 1.16),
      outcome: 'ok' as const,
    }));
    const fit = fitCalibration({ nominalMm: 279.4, readings });
    if (!fit.ok) throw new Error(fit.problem.code);
    const target = resolveTarget({
      nominalMm: 279.4,
      tier: { fraction: 0.91 },
      fit: fit.value,
      daysStanding: 1,
      step: 3.175,
    });
    if (!target.ok) throw new Error(target.problem.code);
    expect(heldBecause(target.value, inches)).toMatch(/^Held at your round limit of 9/);
    const [wish, held] = target.value.reasons.map((reason) =>
      reasonText(reason, inches, { name: 'Classic', widthMm: target.value.widthMm }),
    );
    expect(wish).toBe('Classic asks for 91 % of nominal: 10 in.');
    expect(held).toMatch(/^Held there: yours turns oval at 9/);
    const others = { code: 'round-limit', limitMm: 241.3, sdMm: 6, from: 'shelf', state: 'acts' } as const;
    expect(heldBecause({ ...target.value, reasons: [others] }, inches)).toBe(
      'Held at 9.5 in, where your other balloons turn oval',
    );
    expect(reasonText(others, inches, { name: 'Classic', widthMm: 241.3 })).toMatch(
      /^Your other balloons say it turns oval at 9.5 in, give or take .*: held there\.$/,
    );
    expect(roundLimitText({ kind: 'no-shapes-seen' }, inches)).toMatch('do not show');
    const outlier = { index: 2, dose: 3, widthMm: 228.6, expectedWidthMm: 190.5, deviations: 9 };
    expect(outlierText(outlier, 'hand', inches)).toMatch('3 strokes, 9 in, does not fit the others (they say 7.5 in)');
  });

  it('never says that a balloon is known to just what is wanted of it', () => {
    const need = (halfWidthMm: number) => needText({ code: 'unsure', halfWidthMm, toleranceMm: 3.2 }, inches);
    expect(need(9.5)).toMatch(/^targets known to ±.* in only, ±.* in is wanted$/);
    expect(need(3.21)).toMatch(/^targets known a little less well than the ±.* in that is wanted$/);
  });

  it('tells what to do with a batch', () => {
    const results: CheckResult[] = [...'=====-======'].map((c) => ({
      kind: 'answer',
      answer: c === '-' ? 'falls' : 'passes',
    }));
    const judged = judgeBatch({ targetMm: 254, toleranceMm: 6, results });
    if (!judged.ok) throw new Error(judged.problem.code);
    expect(verdictText(judged.value)).toBe('1 of 12 is outside. The rest are right.');
    expect(judged.value.advice.map((advice) => adviceText(advice, inches))).toEqual([
      'Add air to number 6.',
      'Carry on as you do.',
    ]);
    expect(outsideText(judged.value)).toMatch('between 0 % and 38 %');
  });

  it('says how many more strokes, not only how many in all', () => {
    const next = {
      dose: 4,
      freshBalloon: false,
      expectedWidthMm: 200,
      purpose: 'narrow-the-curve',
      halfWidthNowMm: 3,
      halfWidthThenMm: 2,
    } as const;
    expect(nextText(next, 2.5, 'hand')).toBe('Give 1½ strokes more, 4 in all, then measure.');
    expect(nextText({ ...next, freshBalloon: true }, 9, 'hand')).toBe(
      'Take a fresh balloon and give it 4 strokes, then measure.',
    );
  });
});

describe('a reading before it is added', () => {
  const first = {
    dose: 1,
    freshBalloon: true,
    expectedWidthMm: null,
    purpose: 'first',
    halfWidthNowMm: null,
    halfWidthThenMm: null,
  } as const;
  const draft = proposedDraft(first, { nominalMm: 279.4, stepMm: 3.175, kind: 'hand' });

  it('starts from the proposal', () => {
    expect(draft).toMatchObject({ dose: 1, outcome: 'ok', shape: null });
    expect(draftProblem(draft, 279.4)).toBeNull();
  });

  it('names the field this balloon cannot have', () => {
    expect(draftProblem({ ...draft, widthMm: 900 }, 279.4)).toMatchObject({
      code: 'bad-width',
      field: 'widthMm',
    });
    expect(draftProblem({ ...draft, heightMm: 5 }, 279.4)).toMatchObject({
      code: 'bad-height',
      field: 'heightMm',
    });
  });

  it('keeps no width of a burst', () => {
    const ids = { id: 'r', calibrationId: 'c', takenAt: '2026-11-16T17:00:00.000Z', balloon: 1 };
    expect(readingOf({ ...draft, outcome: 'burst' }, ids)).toMatchObject({
      widthMm: null,
      heightMm: null,
      outcome: 'burst',
    });
  });
});

describe('colours', () => {
  it.each([
    ['day', DAY],
    ['evening', EVENING],
  ] as const)('read well in the %s theme (WCAG 2.2 AA, 4.5 to 1)', (_, p) => {
    const pairs = [
      [p.ink, p.ground],
      [p.ink, p.surface],
      [p.quiet, p.ground],
      [p.quiet, p.surface],
      [p.quiet, p.sunk],
      [p.onKiln, p.kiln],
      [p.onPine, p.pine],
      [p.pine, p.ground],
      [p.pine, p.pineWash],
      [p.quiet, p.pineWash],
      [p.out, p.outWash],
      [p.out, p.surface],
      [p.edge, p.surface],
    ] as const;
    for (const [text, ground] of pairs)
      expect([text, ground, contrastOf(text, ground) >= 4.5]).toEqual([text, ground, true]);
  });

  it('put dark figures on light balloons and light ones on dark', () => {
    expect([inkOn('#ece7db'), inkOn('#27375c')]).toEqual(['#22201c', '#ffffff']);
  });
});
