import type { Deed, DeedRow } from '@leggero/contract/deed';

import { doneTo } from '@/views/deeds';

import { ROLE_WORDS } from './crew';
import { momentText } from './day';
import { doneWords, fieldWords } from './entries';
import { counted } from './trade';

/** Fields that are told of one row. */
const MOST_FIELDS = 3;

/** What was done, by the first row that it was done to, and how many more: "Taken away: a piece, with 12 records of it". */
export function deedTitle({ rows, count }: Pick<Deed, 'rows' | 'count'>): string {
  const [first] = rows;
  if (!first) return 'Something';
  const done = doneTo(first);
  const words = doneWords(done, first.noun);
  if (count === 1) return words;
  return done === 'removed'
    ? `${words}, with ${counted(count - 1, 'record')} of it`
    : `${words}, and ${count - 1} more`;
}

/** Who did it, and at which hour. */
export function doneBy({ by, at }: Pick<Deed, 'by' | 'at'>): string {
  const hour = new Date(at).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' });
  return `${by?.name ?? 'At this machine'}, ${hour}`;
}

/** What a change did, field by field: "Width: 9½ in → 9¾ in". `lengthText`: a length as the studio has it. */
export function changesText({ was, is }: Pick<DeedRow, 'was' | 'is'>, lengthText: (mm: number) => string): string[] {
  if (!was || !is) return [];
  const fields = Object.keys(is);
  const lines = fields.slice(0, MOST_FIELDS).map((field) => {
    const [before, after] = [was[field], is[field]].map((value) => valueText(field, value, lengthText));
    return before === null || after === null ? nameOf(field) : `${nameOf(field)}: ${before} → ${after}`;
  });
  return fields.length > MOST_FIELDS ? [...lines, `and ${fields.length - MOST_FIELDS} more`] : lines;
}

const UNITS: readonly [ending: string, unit: string][] = [
  ['TempC', '°C'],
  ['KPa', 'kPa'],
  ['HPa', 'hPa'],
  ['VolumeL', 'L'],
  ['AltitudeM', 'm'],
];

/** What a field is called: as elsewhere, or by its own words, without the unit. */
function nameOf(field: string): string {
  const known = fieldWords(field);
  if (known !== field) return known;
  const bare = field.replace(/(Mm|C|KPa|HPa|L|M|Hex|At|Id)$/, '');
  const words = bare.replaceAll(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
}

/** What a field holds; null of what is not told in a line. */
function valueText(field: string, value: unknown, lengthText: (mm: number) => string): string | null {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') {
    if (field.endsWith('Mm')) return lengthText(value);
    const unit = UNITS.find(([ending]) => field.endsWith(ending))?.[1];
    return unit ? `${value}\u00a0${unit}` : String(value);
  }
  if (typeof value !== 'string' || /Id$/.test(field)) return null;
  if (field === 'role') return ROLE_WORDS[value as keyof typeof ROLE_WORDS].title.toLowerCase();
  return /^\d{4}-\d\d-\d\dT/.test(value) ? momentText(value) : `“${value}”`;
}
