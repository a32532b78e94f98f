import { MM_PER, type InflatorKind, type LengthUnit } from '@leggero/core';

/** The columns of a file of readings. Lengths carry their unit in the header: "width (mm)". */
export const PLAIN_COLUMNS = [
  'line',
  'kind',
  'finish',
  'colour',
  'inflator',
  'nozzle',
  'balloon',
  'pre-stretched',
  'rounded off',
  'calibration',
  'taken at (UTC)',
  'way',
  'shape',
  'felt',
  'reading',
] as const;
export type PlainColumn = (typeof PLAIN_COLUMNS)[number];

export const LENGTH_COLUMNS = ['nominal', 'width', 'stops at', 'passes', 'height', 'uncertainty'] as const;
export type LengthColumn = (typeof LENGTH_COLUMNS)[number];

/** Doses by what they are counted in. */
const DOSE_UNITS: Readonly<Record<string, Exclude<InflatorKind, 'twin'>>> = {
  strokes: 'hand',
  s: 'timed',
  seconds: 'timed',
};

/** Where each column of a file stands. */
export interface Layout {
  names: readonly string[];
  plain: Partial<Record<PlainColumn, number>>;
  lengths: Partial<Record<LengthColumn, { at: number; unit: LengthUnit }>>;
  doses: { at: number; kind: Exclude<InflatorKind, 'twin'> }[];
}

interface HeaderProblem {
  column: string | null;
  reason: string;
}

const UNITS = Object.keys(MM_PER).join(', ');

/**
 * Reads a header. Names are told apart by their words alone, not by case or spacing; columns of other names are
 * passed over.
 */
export function readHeader(cells: readonly string[]): { layout: Layout; problems: HeaderProblem[] } {
  const layout: Layout = { names: cells, plain: {}, lengths: {}, doses: [] };
  const problems: HeaderProblem[] = [];
  cells.forEach((cell, at) => {
    const name = cell.trim().toLowerCase().replace(/\s+/g, ' ');
    const plain = PLAIN_COLUMNS.find((column) => column.toLowerCase() === name);
    if (plain) layout.plain[plain] = at;
    const [, word = name, unit] = /^(.*?)\s*\(([^)]*)\)$/.exec(name) ?? [];
    const length = LENGTH_COLUMNS.find((column) => column === word);
    if (length) {
      if (unit !== undefined && unit in MM_PER) layout.lengths[length] = { at, unit: unit as LengthUnit };
      else
        problems.push({
          column: cell,
          reason: `The unit of “${length}” is missing or unknown: use ${UNITS}.`,
        });
    }
    if (word === 'dose') {
      const kind = DOSE_UNITS[unit ?? ''];
      if (kind) layout.doses.push({ at, kind });
      else
        problems.push({
          column: cell,
          reason: 'A dose is in strokes or in s: “dose (strokes)”, “dose (s)”.',
        });
    }
  });
  return { layout, problems: [...problems, ...missingColumns(layout, problems)] };
}

function missingColumns({ plain, lengths, doses }: Layout, found: readonly HeaderProblem[]): HeaderProblem[] {
  const missing: string[] = [];
  const spoiled = (word: string) => found.some(({ column }) => column?.toLowerCase().startsWith(word));
  if (plain.line === undefined) missing.push('line');
  if (!lengths.nominal && !spoiled('nominal')) missing.push('nominal (in)');
  if (doses.length === 0 && !spoiled('dose')) missing.push('dose (strokes)');
  const bracket = lengths['stops at'] && lengths.passes;
  if (!lengths.width && !bracket && !spoiled('width')) missing.push('width (mm)');
  return missing.map((column) => ({ column, reason: `The column “${column}” is missing.` }));
}
