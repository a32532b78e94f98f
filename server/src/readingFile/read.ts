import type { ImportReport, LineProblem } from '@leggero/contract';
import { MM_PER_INCH } from '@leggero/core';
import Papa from 'papaparse';

import { readHeader } from './columns';
import { CellProblem, readLine, type ReadLine } from './line';

/** What a file says, line by line. */
export interface ReadFile {
  lines: ReadLine[];
  problems: LineProblem[];
  problemCount: number;
}

/** So many problems are listed; more are only counted. */
const LISTED = 100;
/** Lines understood before others get their turn on the server. */
const SLICE = 2000;
/** More is no file of readings. */
const MOST_LINES = 200_000;

/** Reads a file of readings: any of comma, semicolon or tab between cells, with or without a byte-order mark. */
export async function readFile(
  text: string,
  onProgress: (done: number, of: number) => void = () => undefined,
): Promise<ReadFile> {
  const file: ReadFile = { lines: [], problems: [], problemCount: 0 };
  const complain = (line: number, column: string | null, reason: string) => {
    file.problemCount += 1;
    if (file.problems.length < LISTED) file.problems.push({ line, column, reason });
  };
  const { data: rows } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimitersToGuess: [',', ';', '\t'],
  });
  const [header] = rows;
  if (!header || header.every((cell) => cell.trim() === '')) {
    complain(0, null, 'The file is empty.');
    return file;
  }
  const { layout, problems } = readHeader(header);
  for (const { column, reason } of problems) complain(1, column, reason);
  if (rows.length > MOST_LINES) complain(0, null, `More than ${MOST_LINES} lines: split the file.`);
  if (file.problemCount > 0) return file;

  let line = 1 + breaksIn(header);
  for (let i = 1; i < rows.length; i += 1) {
    const row = rows[i]!;
    line += 1;
    if (row.some((cell) => cell.trim() !== '')) {
      try {
        file.lines.push(readLine(row, layout, line));
      } catch (error) {
        if (!(error instanceof CellProblem)) throw error;
        complain(line, error.column, error.message);
      }
    }
    line += breaksIn(row);
    if (i % SLICE === 0) {
      onProgress(i, rows.length);
      await turn();
    }
  }
  if (file.lines.length === 0 && file.problemCount === 0) complain(0, null, 'There is no reading in the file.');
  return file;
}

/** Line breaks within quoted cells, so that line numbers stay those of an editor. */
function breaksIn(row: readonly string[]): number {
  let count = 0;
  for (const cell of row) if (cell.includes('\n')) count += cell.split('\n').length - 1;
  return count;
}

/** Lets others have a turn. */
export function turn(): Promise<void> {
  return new Promise((resolve) => setImmediate(resolve));
}

/** Lines shown before an import. */
const SAMPLED = 8;

/** The first lines as they were understood. */
export function sampleOf(lines: readonly ReadLine[]): ImportReport['sample'] {
  return lines.slice(0, SAMPLED).map(({ line, model, inflator, reading }) => ({
    line,
    model: `${model.line} ${Math.round((model.nominalMm / MM_PER_INCH) * 10) / 10}`,
    pump: inflator.name ?? '',
    dose: reading.dose,
    widthMm: reading.widthMm ?? null,
    stopsMm: reading.bracket?.stopsMm ?? null,
    passesMm: reading.bracket?.passesMm ?? null,
  }));
}
