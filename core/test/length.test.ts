import fc from 'fast-check';

import {
  formatExactly,
  formatFine,
  formatLength,
  formatLong,
  lengthParts,
  parseLength,
  readNumber,
  STEP_MM,
  type LengthUnit,
} from '../src';

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
    ['6 ft 2 in', 74 * 25.4],
    ["6'2", 74 * 25.4],
    ['6\'2"', 74 * 25.4],
    ['6\' 2½"', 74.5 * 25.4],
    ['6ft', 72 * 25.4],
    ['6 feet 2 1/2 inches', 74.5 * 25.4],
    ['6½ ft', 78 * 25.4],
    ['0 ft 14 in', 14 * 25.4],
    ['1.9 m', 1900],
    ['1,9m', 1900],
    ['74', 74 * 25.4],
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
    ['6 ft 14 in', 'inches-over-foot'],
    ["6'12", 'inches-over-foot'],
    ['6 ft 2 cm', 'not-a-length'],
    ['ft 2 in', 'not-a-length'],
    ['6 ft two', 'not-a-length'],
    ["6'2'3", 'not-a-length'],
    ['200 ft', 'too-large'],
    ['6 ft 1/0', 'zero-denominator'],
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

describe('a length of a build', () => {
  it.each([
    [23.875 * 25.4, 'in', '23⅞ in'],
    [24 * 25.4, 'in', '2 ft'],
    [74 * 25.4, 'in', '6 ft 2 in'],
    [98.5 * 25.4, 'in', '8 ft 2½ in'],
    [72.5 * 25.4, 'in', '6 ft ½ in'],
    [83.99 * 25.4, 'in', '7 ft'],
    [-74 * 25.4, 'in', '-6 ft 2 in'],
    [600, 'cm', '60.0 cm'],
    [1876, 'cm', '1.88 m'],
  ] as const)('writes %d mm in %s as %s', (mm, unit, text) => {
    const step = unit === 'in' ? STEP_MM.eighthInch : STEP_MM.millimetre;
    expect(formatLong({ mm, unit, step })).toBe(text);
  });

  it('is read back as it was written', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 29_000, noNaN: true }),
        fc.constantFrom<LengthUnit>('in', 'cm'),
        (mm, unit) => {
          const back = read(formatLong({ mm, unit }), unit);
          expect(Math.abs((back as number) - mm)).toBeLessThanOrEqual(unit === 'in' ? 25.4 / 16 + 1e-6 : 5 + 1e-6);
        },
      ),
    );
  });
});

describe('a deviation', () => {
  it.each([
    [0, 'in', '0 in'],
    [0.5, 'in', 'under 1/16 in'],
    [1.5875, 'in', '1/16 in'],
    [-3.2, 'in', '⅛ in'],
    [4.7, 'in', '3/16 in'],
    [27, 'in', '1 1/16 in'],
    [0.3, 'cm', 'under 0.1 cm'],
    [2.3, 'cm', '0.2 cm'],
    [12, 'cm', '1.2 cm'],
    [2.3, 'mm', '2 mm'],
    [0.3, 'mm', 'under 1 mm'],
  ] as const)('of %d mm is %s: %s', (mm, unit, text) => expect(formatFine({ mm, unit })).toBe(text));

  it.each([
    [0, '±0 in'],
    [0.5, 'under ±1/16 in'],
    [-3.2, '±⅛ in'],
  ] as const)('of %d mm either way: %s', (mm, text) => expect(formatFine({ mm, unit: 'in', sign: '±' })).toBe(text));
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
  it('tells a size between all steps: a thousandth of an inch, a hundredth of a centimetre', () => {
    expect(formatExactly({ mm: 127.8, unit: 'in' })).toBe('5.031 in');
    expect(formatExactly({ mm: 127.84, unit: 'cm' })).toBe('12.78 cm');
  });
});
