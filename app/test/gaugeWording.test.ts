import { pairMismatch, widthCost } from '@leggero/core';
import { samplingPlan } from '@leggero/core/samplingPlan';
import { judgeEye, sizingStudy } from '@leggero/core/eye';
import { sizerGeometry, type SizerGeometryOptions } from '@leggero/core/template';

import { lawText, lotText, pairText, planText } from '@/wording/batch';
import { biasText, eyeVerdict, spreadText, trendTexts } from '@/wording/eye';
import { makeProblemText } from '@/wording/make';
import { costTexts } from '@/wording/holeCost';
import { offText } from '@/wording/holeOff';
import { conditionText, holesProblemText } from '@/wording/sizer';
import { workList } from '@/wording/works';
import { cellText, studyText } from '@/wording/study';

const fineMm = (mm: number) => `${mm.toFixed(1)} mm`;
const inches = (mm: number) => `${Math.round((mm / 25.4) * 8) / 8} in`;

describe('the words of the gauges', () => {
  it('say how a hole stands to its label', () => {
    const now = { widthMm: 227, sdMm: 0.3, offMm: -1.6, ovalMm: 1.8, wearMm: 0.7, origin: 'measured' as const };
    expect(offText(now, fineMm)).toBe('1.6 mm smaller than its label');
    expect(conditionText(now, fineMm)).toBe('oval by 1.8 mm, 0.7 mm wider than when first measured');
    expect(offText({ ...now, offMm: 0.1 }, fineMm)).toBe('as its label says');
    expect(conditionText({ ...now, ovalMm: 0.2, wearMm: null }, fineMm)).toBe('');
    expect(holesProblemText('holes-out-of-order', '10', '9')).toMatch(/^The 10 hole would be smaller than the 9\./);
  });

  it('say what another width costs, up and down', () => {
    const [, column, chain] = costTexts(widthCost({ targetMm: 254, widthMm: 247.65 }), inches);
    expect([column, chain]).toEqual([
      'A column of eight layers of quads 1.5 in lower.',
      'A chain of twenty 5 in shorter.',
    ]);
    expect(costTexts(widthCost({ targetMm: 254, widthMm: 260.35 }), inches)[0]).toBe(
      'Each balloon 0.25 in larger, with 8 % more air.',
    );
    expect(workList(['linking', 'classic'])).toBe('linking work and classic work');
  });

  it('say how many of a lot to check: common practice in plain words', () => {
    const plan = (lotSize: number, limit: 0.01 | 0.04) => {
      const result = samplingPlan({ lotSize, limit });
      return result.ok ? planText(result.value, lotSize) : '';
    };
    expect(plan(96, 0.04)).toBe('Check 13 of 96; if 2 are off, size them all again.');
    expect(plan(10, 0.01)).toBe('So small a lot is checked whole: all 10. If 1 is off, size them all again.');
    const lot = { lotSize: 96, sample: 13, acceptMost: 1 };
    expect(lotText({ ...lot, off: 2, state: 'rejected' })).toBe('2 off: size all 96 again.');
    expect(lotText({ ...lot, off: 1, state: 'accepted' })).toBe('1 of 13 off, 1 may be: the lot of 96 is right.');
  });

  it('say mean and spread, or the most there can be', () => {
    const meanMm = { value: 254, low: 251, high: 257 };
    expect(lawText({ count: 12, meanMm, spreadMm: { value: 3, low: 2, high: 6 } }, inches, fineMm)).toBe(
      'Mean 10 in (9.875 in to 10.125 in), spread 3.0 mm (2.0 mm to 6.0 mm): from 12 balloons between ' +
        'holes. The intervals hold 95 of 100 times.',
    );
    expect(lawText({ count: 12, meanMm, spreadMm: { value: 0, low: 0, high: 4 } }, inches, fineMm)).toMatch(
      /it is at most 4\.0 mm/,
    );
  });

  it('say how well pairs match, and which side gives more', () => {
    const exact = (mm: number) => ({ lowMm: mm, highMm: mm });
    const mismatch = pairMismatch({
      pairs: [256, 257, 256.5].map((left) => ({ left: exact(left), right: exact(250) })),
      toleranceMm: 3,
    });
    expect(mismatch.ok && pairText(mismatch.value, fineMm)).toMatch(
      /^3 pairs: 0 % match within the tolerance\. The left ones come out 6\.5 mm larger/,
    );
  });

  it('tell an eye its bias, spread and trend', () => {
    const of = (widthsMm: number[]) => {
      const judged = judgeEye({ targetMm: 254, nominalMm: 279.4, widthsMm });
      if (!judged.ok) throw new Error(judged.problem.code);
      return judged.value;
    };
    const large = of([259, 260, 261, 260, 259, 261]);
    expect(biasText(large, fineMm)).toBe('Fills 6.0 mm too large on average (5.1 mm to 6.9 mm).');
    expect(spreadText(large, fineMm)).toMatch(/^From one balloon to the next 0\.9 mm/);
    expect(eyeVerdict(large)).toMatch(
      /^This eye is enough for garlands and organic work\. Size every balloon for linking work and classic work\./,
    );
    expect(biasText(of([252, 256, 253, 255]), fineMm)).toMatch(
      /^On the target as far as this tells: the mean lies 0\.0 mm/,
    );
    expect(trendTexts(of([252, 256]), fineMm)).toEqual(['Six balloons or more show whether an eye drifts or tires.']);
    expect(trendTexts(of([250, 251, 252, 253, 254, 255.1]), fineMm)[0]).toBe(
      'The eye drifts: balloons grow larger, by 5.1 mm from the first to the last.',
    );
  });

  it('tell where the sizing’s spread comes from', () => {
    const text = (widths: number[][][]) => {
      const study = sizingStudy(widths);
      return study.ok ? studyText(study.value, ['Maren', 'Jory'], 'The 9 hole', fineMm) : [study.problem.code];
    };
    const people = text([
      [
        [228, 228.1],
        [232, 232.1],
      ],
      [
        [230, 230.1],
        [234, 234.2],
      ],
    ]);
    expect(people[0]).toMatch(/with the 9 hole; the balloons themselves differ by/);
    expect(people[1]).toMatch(/comes from how Maren and Jory read it/);
    expect(
      text([
        [
          [228, 232],
          [229, 231],
        ],
        [
          [230, 226],
          [228, 229],
        ],
      ])[1],
    ).toMatch(/sizing the same balloon again with the same hands/);
    expect(
      text([
        [
          [228, 228],
          [228, 228],
        ],
        [
          [230, 230],
          [230, 230],
        ],
      ]),
    ).toEqual(['No spread at all shows with the 9 hole.']);
    expect(cellText({ balloon: 3, person: 1, repeat: 1 }, ['Maren', 'Jory'])).toBe('Jory, second time, balloon 4');
  });

  it('has a sentence for whatever stands in the way of a template', () => {
    const options: SizerGeometryOptions = {
      form: 'box',
      sizes: [{ label: '9', widthMm: 228.6 }],
      sheetWidthMm: 800,
      sheetHeightMm: 600,
      kerfMm: 0.2,
      bridgeMm: 8,
      thicknessMm: 3,
      pitchMm: 18,
    };
    const told = (by: Partial<SizerGeometryOptions>) => {
      const made = sizerGeometry({ ...options, ...by });
      return made.ok ? 'made' : makeProblemText(made.problem, inches);
    };
    expect(told({})).toBe('made');
    expect(told({ sheetWidthMm: 250 })).toMatch(/^The sheet is too small: at least 10\.\d+ in by/);
    expect(told({ thicknessMm: 19 })).toBe(
      'The sheet is thicker than a finger is long (18 mm): make the fingers longer.',
    );
    expect(told({ kerfMm: 8 })).toMatch(/burn the bridge of 8 mm away/);
    expect(told({ kerfMm: 30 })).toBe('A kerf is between 0 and 20 mm.');
    expect(told({ bridgeMm: 0 })).toBe('A bridge is between 3 and 100 mm.');
    expect(told({ sheetHeightMm: 9000 })).toMatch(/not over 118\.125 in/);
    expect(told({ sizes: [] })).toMatch(/at least one size/);
    expect(told({ sizes: [{ label: '0', widthMm: 0 }] })).toMatch(/wider than zero/);
  });
});
