import { LONG_MM, MM_PER, MM_PER_INCH, parseLength, readNumber, type Problem } from '@leggero/core';
import type { Adjustable, ConstantGroup, ConstantProblemCode } from '@leggero/core/constants';

import type { Lengths } from '@/views/lengths';

/** What each group of the trade's numbers decides. */
export const GROUP_WORDS: Record<ConstantGroup, { title: string; decides: string }> = {
  targets: { title: 'Targets', decides: 'How far a balloon is filled, and how exactly' },
  standing: { title: 'Standing', decides: 'What hours and days cost' },
  shape: { title: 'Shape', decides: 'Round, oval, pear, and what is expected of a balloon nobody measured' },
  measuring: { title: 'Measuring', decides: 'How sure a reading is, and what is learned from many' },
  inflators: { title: 'Inflators', decides: 'Strokes and seconds, before they were read' },
  stuffing: { title: 'Stuffing', decides: 'Balloons in balloons, and the pressure they need' },
  linking: { title: 'Linking', decides: 'Joints, rings and ties' },
  building: { title: 'Building', decides: 'Columns and tapers: how high layers stand' },
  modelling: { title: 'Modelling', decides: 'Long balloons: tails, knots, sprays' },
  colour: { title: 'Colour', decides: 'How stretch changes colours and shine, in the drawings too' },
  floating: { title: 'Floating', decides: 'Foil, helium and ballast' },
  supplying: { title: 'Buying and hours', decides: 'Spares, bags, and how long work takes' },
};

/** Units that are not said as they are kept. */
const UNITS: Readonly<Record<string, string>> = {
  'height / width': 'high by wide',
  'height / width for a doubled width': 'for twice the width',
  '0 to 1': 'of 1',
};

/** How a number is written and read back: a length in the studio's unit, a share in percent, or as it is. */
type Writing = 'mm' | 'inch' | 'percent' | 'plain';

function writingOf(unit: string): Writing {
  if (unit === 'mm' || unit === 'inch') return unit;
  return unit.startsWith('of ') ? 'percent' : 'plain';
}

/** As exact as a number is typed, and as it is read. */
const DIGITS = { typed: 4, read: 3 };

/** The unit of a number as this studio says it. */
export function unitText({ unit }: Pick<Adjustable, 'unit'>, lengths: Pick<Lengths, 'unit'>): string {
  const writing = writingOf(unit);
  if (writing === 'percent') return `% ${unit}`;
  if (writing === 'plain') return UNITS[unit] ?? unit;
  return lengths.unit;
}

/** A number as it is typed, without its unit. */
export function entryText(
  { unit }: Pick<Adjustable, 'unit'>,
  value: number,
  lengths: Lengths,
  digits = DIGITS.typed,
): string {
  const plain = (figure: number) => String(Number(figure.toPrecision(digits)));
  switch (writingOf(unit)) {
    case 'percent':
      return plain(100 * value);
    case 'mm':
      return value >= LONG_MM ? lengths.long(value) : plain(value / MM_PER[lengths.unit]);
    case 'inch':
      return plain((value * MM_PER_INCH) / MM_PER[lengths.unit]);
    default:
      return plain(value);
  }
}

/** What was typed, as the number is kept; NaN where it cannot be read. */
export function readEntry({ unit }: Pick<Adjustable, 'unit'>, text: string, lengths: Lengths): number {
  switch (writingOf(unit)) {
    case 'percent':
      return readNumber(text.replace('%', '')) / 100;
    case 'mm':
      return lengthOf(text, lengths);
    case 'inch':
      return lengthOf(text, lengths) / MM_PER_INCH;
    default:
      return readNumber(text);
  }
}

function lengthOf(text: string, { unit }: Lengths): number {
  const parsed = parseLength({ text, unit });
  return parsed.ok ? parsed.value : Number.NaN;
}

/** A number where the rest of its unit stands beside it. */
export function shortText(adjustable: Pick<Adjustable, 'unit'>, value: number, lengths: Lengths): string {
  const entry = entryText(adjustable, value, lengths, DIGITS.read);
  return writingOf(adjustable.unit) === 'percent' ? `${entry} %` : entry;
}

/** What sets a number apart from the others of its constant: "Tape", "Matte, slack". */
export function partText({ partTitle, part, words }: Pick<Adjustable, 'partTitle' | 'part' | 'words'>): string {
  if (partTitle !== null) return partTitle;
  if (part === null) return words.title;
  const plain = part
    .replaceAll('.', ', ')
    .replace(/(?<=[a-z])[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
    .toLowerCase();
  return plain[0]!.toUpperCase() + plain.slice(1);
}

/** What a constant stands for, as a sentence. */
export function aboutText({ about }: { about: string }): string {
  const [first = '', ...rest] = about;
  return `${first.toUpperCase()}${rest.join('')}.`;
}

/** Why a number cannot be so. */
export function constantProblemText(
  { code, detail }: Problem<ConstantProblemCode>,
  adjustable: Adjustable,
  { lengths, titleOf }: { lengths: Lengths; titleOf: (key: string) => string },
): string {
  if (code === 'unknown-constant') return 'This version knows no such number.';
  const [least, most] = [detail.least, detail.most].map((value) => shortText(adjustable, value, lengths));
  const between = `Between ${least} and ${most} ${unitText(adjustable, lengths).replace(/^% /, '')}`;
  return code === 'implausible'
    ? `${between} is plausible.`
    : `${between}: “${titleOf(detail.by)}” holds it there. Change that first.`;
}
