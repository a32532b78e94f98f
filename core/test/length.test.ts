import fc from 'fast-check';

import { formatExactly, formatLength, lengthParts, parseLength, readNumber, STEP_MM, type LengthUnit } from '../src';

const read = (text: string, unit: LengthUnit = 'in') => {
  const result = parseLength({ text, unit });
  return result.ok ? result.value : result.problem.code;
};

describe('parseLength', () => {
  it.each([
    ['9 3/4', 247.65],
    ['9¾', 247.65],
    ['9-3/4"', 247.65],
    ['9.75in', 247.65],
    ['9,75', 247.65],
    ['¾', 19.05],
    ['24.8 cm', 248],
    ['24,8 cm', 248],
    ['248mm', 248],
    ['  10 inches ', 254],
    ['9 ¾ in', 247.65],
    ['.5', 12.7],
    ['9 - 3/4', 247.65],
    ['11”', 279.4],
    ['5 1/2 IN', 139.7],
    ['10 in.', 254],
  ])('reads %j as %d mm', (text, mm) => expect(read(text)).toBeCloseTo(mm, 9));

  it('takes a bare number in the unit asked for', () => {
    expect(read('24.8', 'cm')).toBeCloseTo(248, 9);
    expect(read('248', 'mm')).toBe(248);
  });

  it.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['ten', 'not-a-length'],
    ['9 3/4 kg', 'not-a-length'],
    ['-3', 'negative'],
    ['−3 cm', 'negative'],
    ['9 3/0', 'zero-denominator'],
    ['1e9', 'not-a-length'],
    ['9 9 9', 'not-a-length'],
    ['1,000.5', 'not-a-length'],
    ['9¾¾', 'not-a-length'],
    ['5000 in', 'too-large'],
    ['in', 'not-a-length'],
    ['9..5', 'not-a-length'],
    ['NaN', 'not-a-length'],
    ['9/', 'not-a-length'],
  ])('refuses %j: %s', (text, code) => expect(read(text)).toBe(code));

  it('reads back what formatLength writes, to half a step, in every unit and rounding', () => {
    const unit = fc.constantFrom<LengthUnit>('in', 'cm', 'mm');
    const step = fc.constantFrom(STEP_MM.quarterInch, STEP_MM.eighthInch, STEP_MM.millimetre);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 2000, noNaN: true }), unit, step, (mm, u, s) => {
        const back = read(formatLength({ mm, unit: u, step: s }), u);
        // A millimetre has no inch fraction of its own: it is shown to a sixteenth.
        const grain = u === 'in' && s === 1 ? 1 / 2 + 25.4 / 32 : s / 2;
        const shown = u !== 'in' && s !== 1 ? 0.5 : 0;
        expect(Math.abs((back as number) - mm)).toBeLessThanOrEqual(grain + shown + 1e-6);
      }),
    );
  });

  it('never throws and never gives a negative or endless length, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const value = read(text);
        if (typeof value === 'number') expect(value >= 0 && value <= 30_000).toBe(true);
      }),
      { numRuns: 500 },
    );
  });
});

describe('formatLength', () => {
  it.each([
    [247.65, 'in', STEP_MM.quarterInch, '9¾ in'],
    [254, 'in', STEP_MM.eighthInch, '10 in'],
    [250, 'in', STEP_MM.eighthInch, '9⅞ in'],
    [12.7, 'in', STEP_MM.quarterInch, '½ in'],
    [0, 'in', STEP_MM.quarterInch, '0 in'],
    [1.5875, 'in', 1.5875, '1/16 in'],
    [248.3, 'cm', 1, '24.8 cm'],
    [248.3, 'mm', 1, '248 mm'],
    [-6.35, 'in', STEP_MM.quarterInch, '-¼ in'],
  ] as const)('writes %d mm in %s to %d mm as %s', (mm, unit, step, text) =>
    expect(formatLength({ mm, unit, step })).toBe(text),
  );

  it('keeps the fraction apart for setting it smaller', () => {
    expect(lengthParts({ mm: 247.65, unit: 'in' })).toEqual({
      sign: '',
      whole: '9',
      fraction: '¾',
      unit: 'in',
    });
  });
});

describe('readNumber', () => {
  it.each([
    ['3', 3],
    [' 0,2 ', 0.2],
    ['.5', 0.5],
    ['-4', -4],
    ['−4', -4],
    ['–4,5', -4.5],
    ['1e3', 1000],
  ])('reads “%s” as people write it', (text, value) => {
    expect(readNumber(text)).toBe(value);
  });

  it.each(['', '  ', 'three', '1,2,3', '4 mm', '--4'])('takes “%s” for no number', (text) => {
    expect(readNumber(text)).toBeNaN();
  });
});

describe('formatExactly', () => {
  it('tells a size between all steps: a thousandth of an inch, a tenth of a millimetre', () => {
    expect(formatExactly({ mm: 127.8, unit: 'in' })).toBe('5.031 in');
    expect(formatExactly({ mm: 127.84, unit: 'cm' })).toBe('127.8 mm');
  });
});
