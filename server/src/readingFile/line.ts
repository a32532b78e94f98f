import {
  BALLOON_KINDS,
  FINISHES,
  NOZZLES,
  OUTCOMES,
  parseLength,
  readNumber,
  readingProblem,
  SHAPES,
  WAYS,
  type InflatorKind,
  type Reading,
} from '@leggero/core';
import {
  asStored,
  DOSE_PLACES,
  idSchema,
  isPossibleInstant,
  LENGTH_PLACES,
  MOST_BALLOONS,
  nameSchema,
  NOUNS,
} from '@leggero/contract';

import { READING_REFUSED } from '../http/words';
import type { Layout, LengthColumn, PlainColumn } from './columns';

/** One line as understood. */
export interface ReadLine {
  line: number;
  model: {
    line: string;
    kind: (typeof BALLOON_KINDS)[number];
    nominalMm: number;
    finish: (typeof FINISHES)[number];
    colourName: string;
  };
  inflator: { name: string | null; kind: InflatorKind };
  preStretched: boolean;
  roundedOff: boolean;
  /** What the file calls the calibration; an id or any word. */
  calibration: string | null;
  takenAt: string | null;
  readingId: string | null;
  reading: Reading;
}

/** A cell that cannot be used. */
export class CellProblem extends Error {
  constructor(
    readonly column: string | null,
    reason: string,
  ) {
    super(reason);
  }
}

/** What a width that cannot be comes from, in a file. */
const UNIT_DOUBTED = ': check the unit of the column';
const COLUMN_OF: Record<string, string> = {
  dose: 'dose',
  widthMm: 'width',
  heightMm: 'height',
  sdMm: 'uncertainty',
  stopsMm: 'stops at',
  passesMm: 'passes',
};

/** Understands one line, or throws a `CellProblem`. */
export function readLine(cells: readonly string[], layout: Layout, line: number): ReadLine {
  const row = new Cells(cells, layout);
  const { amount, kind: doseKind } = row.dose();
  const nominalMm = row.length('nominal');
  if (nominalMm === undefined) throw new CellProblem('nominal', 'The nominal size is missing.');
  const nozzle = row.choice('nozzle', NOZZLES);
  const widthMm = row.length('width');
  const stopsMm = row.length('stops at');
  const passesMm = row.length('passes');
  if ((stopsMm === undefined) !== (passesMm === undefined)) {
    throw new CellProblem(
      stopsMm === undefined ? 'stops at' : 'passes',
      'Both holes are needed: where it stops, and where it passes.',
    );
  }
  if (widthMm !== undefined && stopsMm !== undefined) {
    throw new CellProblem('width', 'Give a width or two holes, not both.');
  }
  const bracket = stopsMm !== undefined && passesMm !== undefined ? { stopsMm, passesMm } : undefined;
  const reading: Reading = {
    dose: amount,
    widthMm,
    bracket,
    way: bracket ? 'bracket' : (row.choice('way', WAYS) ?? 'tape'),
    nozzle,
    balloon: row.number('balloon', MOST_BALLOONS),
    heightMm: row.length('height'),
    sdMm: row.length('uncertainty'),
    shape: row.choice('shape', SHAPES),
    outcome: row.choice('felt', OUTCOMES) ?? 'ok',
  };
  const bad = readingProblem({ reading, nominalMm });
  if (bad) {
    const unit = bad.code === 'bad-width' || bad.code === 'bad-bracket' ? UNIT_DOUBTED : '';
    throw new CellProblem(COLUMN_OF[bad.field ?? ''] ?? null, `${READING_REFUSED[bad.code]}${unit}.`);
  }
  return {
    line,
    model: row.model(nominalMm),
    inflator: { name: row.text('inflator'), kind: nozzle ? 'twin' : doseKind },
    preStretched: row.yes('pre-stretched'),
    roundedOff: row.yes('rounded off'),
    calibration: row.text('calibration'),
    takenAt: row.instant('taken at (UTC)'),
    readingId: row.id('reading'),
    reading,
  };
}

/** The cells of one line by the names of their columns. */
class Cells {
  constructor(
    private readonly cells: readonly string[],
    private readonly layout: Layout,
  ) {}

  private at(index: number | undefined): string {
    return index === undefined ? '' : (this.cells[index] ?? '').trim();
  }

  /** A text cell; the mark that keeps a spreadsheet from calculating it is taken off again. */
  text(column: PlainColumn): string | null {
    const text = this.at(this.layout.plain[column]).replace(/^'(?=[=+\-@\t\r])/, '');
    return text === '' ? null : text;
  }

  choice<const Value extends string>(column: PlainColumn, values: readonly Value[]): Value | undefined {
    const text = this.text(column)?.toLowerCase();
    if (text === undefined) return undefined;
    const value = values.find((each) => each === text);
    if (!value) throw new CellProblem(column, `“${text}” is none of: ${values.join(', ')}.`);
    return value;
  }

  /** A whole number from 1 to `most`. */
  number(column: PlainColumn, most: number): number | undefined {
    const text = this.text(column);
    if (text === null) return undefined;
    const value = /^\d{1,5}$/.test(text) ? Number(text) : 0;
    if (value < 1 || value > most) throw new CellProblem(column, `“${text}” is no whole number from 1 to ${most}.`);
    return value;
  }

  yes(column: PlainColumn): boolean {
    return this.choice(column, ['yes', 'no', 'true', 'false', '1', '0'])?.match(/^(yes|true|1)$/) != null;
  }

  length(column: LengthColumn): number | undefined {
    const place = this.layout.lengths[column];
    const text = this.at(place?.at);
    if (!place || text === '') return undefined;
    const parsed = parseLength({ text, unit: place.unit });
    if (!parsed.ok) throw new CellProblem(column, `“${text}” cannot be read as a length.`);
    return asStored(parsed.value, LENGTH_PLACES);
  }

  dose(): { amount: number; kind: 'hand' | 'timed' } {
    const filled = this.layout.doses.filter(({ at }) => this.at(at) !== '');
    const [first] = filled;
    if (!first) throw new CellProblem('dose', 'The dose is missing.');
    if (filled.length > 1) throw new CellProblem('dose', 'Give strokes or seconds, not both.');
    const text = this.at(first.at);
    if (!/^\d+([.,]\d+)?$/.test(text)) throw new CellProblem('dose', `“${text}” cannot be read as a number.`);
    return { amount: asStored(readNumber(text), DOSE_PLACES), kind: first.kind };
  }

  model(nominalMm: number): ReadLine['model'] {
    const line = nameSchema.safeParse(this.text('line') ?? '');
    if (!line.success) throw new CellProblem('line', 'The maker’s line is missing or longer than 80 characters.');
    if (!NOUNS.model.row.shape.nominalMm.safeParse(nominalMm).success) {
      throw new CellProblem('nominal', `Nominal sizes from 1 to 98 in are possible${UNIT_DOUBTED}.`);
    }
    const colourName = this.text('colour') ?? 'unnamed';
    if (colourName.length > 40) throw new CellProblem('colour', 'A colour’s name has up to 40 characters.');
    const kind = this.choice('kind', BALLOON_KINDS) ?? 'round';
    return {
      line: line.data,
      kind,
      nominalMm,
      finish: this.choice('finish', FINISHES) ?? 'matte',
      colourName,
    };
  }

  instant(column: PlainColumn): string | null {
    const text = this.text(column);
    if (text === null) return null;
    const zoned = /(Z|[+-]\d\d:?\d\d)$/.test(text) ? text : `${text.replace(' ', 'T')}Z`;
    const instant = new Date(zoned);
    if (Number.isNaN(instant.getTime()) || !isPossibleInstant(instant)) {
      throw new CellProblem(column, `“${text}” is no moment such as 2026-11-16T17:01:00Z.`);
    }
    return instant.toISOString();
  }

  id(column: PlainColumn): string | null {
    const text = this.text(column);
    if (text === null) return null;
    if (!idSchema.safeParse(text).success) throw new CellProblem(column, `“${text}” is no id (a UUID).`);
    return text.toLowerCase();
  }
}
