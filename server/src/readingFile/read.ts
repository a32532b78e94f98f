import type { FileEncoding, ImportReport, LineProblem } from '@leggero/contract/readingFile';
import { MM_PER_INCH } from '@leggero/core';
import Papa from 'papaparse';

import { readHeader } from './columns';
import { CellProblem, readLine, type ReadLine } from './line';

/** What a file says, line by line. */
export interface ReadFile {
  /** Lines that were understood. */
  count: number;
  /** Those lines: the first ones alone where others could not be read, since nothing of such a file is used. */
  lines: ReadLine[];
  problems: LineProblem[];
  problemCount: number;
  /** The text is in another encoding than the one named. */
  askEncoding: boolean;
}

export interface FileToRead {
  bytes: Uint8Array;
  encoding: FileEncoding;
}

/** So many problems are listed; more are only counted. */
const LISTED = 100;
/** More is no file of readings. */
const MOST_LINES = 200_000;
const MOST_CELLS = 100;
const LONGEST_CELL = 1000;
/** Lines between two words on how far it is. */
const SLICE = 2000;

/**
 * Reads a file of readings: any of comma, semicolon or tab between cells, in the encoding named, or in UTF-16 with its
 * mark. Line after line, so that only what was understood is kept. `onProgress` is told how many characters are read,
 * and of how many.
 */
export function readBytes(
  { bytes, encoding }: FileToRead,
  onProgress: (done: number, of: number) => void = () => undefined,
): ReadFile {
  const reader = new Reader();
  const text = decoded(bytes, encoding);
  if (text === null) {
    reader.complain(0, null, 'The letters of this file are written in another way than the usual one (UTF-8).');
    return { ...reader.file, askEncoding: true };
  }
  Papa.parse<string[]>(text, {
    delimitersToGuess: [',', ';', '\t'],
    step: ({ data, meta }, parser) => {
      if (reader.take(data)) {
        if (reader.rows % SLICE === 0) onProgress(meta.cursor, text.length);
      } else parser.abort();
    },
  });
  return reader.end();
}

/** The text of a file; null where it is in another encoding. */
function decoded(bytes: Uint8Array, named: FileEncoding): string | null {
  const [first, second] = bytes;
  const marked = (first === 0xff && second === 0xfe) || (first === 0xfe && second === 0xff);
  const encoding = marked ? (first === 0xff ? 'utf-16le' : 'utf-16be') : named;
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(bytes);
  } catch {
    return null;
  }
}

class Reader {
  readonly file: ReadFile = { count: 0, lines: [], problems: [], problemCount: 0, askEncoding: false };
  /** Lines so far, with the header and blank ones. */
  rows = 0;
  private layout: ReturnType<typeof readHeader>['layout'] | null = null;
  /** The line an editor would show, which counts breaks within quotes. */
  private line = 0;

  complain(line: number, column: string | null, reason: string): void {
    this.file.problemCount += 1;
    if (this.file.problems.length < LISTED) this.file.problems.push({ line, column, reason });
  }

  /** Takes the next row; false where the rest need not be read. */
  take(row: readonly string[]): boolean {
    this.rows += 1;
    this.line += 1;
    const at = this.line;
    this.line += breaksIn(row);
    if (this.rows > MOST_LINES) {
      this.complain(0, null, `More than ${MOST_LINES.toLocaleString('en')} lines: split the file.`);
      return false;
    }
    if (row.length > MOST_CELLS || row.some((cell) => cell.length > LONGEST_CELL)) {
      this.complain(at, null, `More than ${MOST_CELLS} cells, or one of more than ${LONGEST_CELL} characters.`);
      return false;
    }
    if (this.layout === null) return this.takeHeader(row);
    if (row.some((cell) => cell.trim() !== '')) this.takeLine(row, this.layout, at);
    return true;
  }

  private takeHeader(row: readonly string[]): boolean {
    if (row.every((cell) => cell.trim() === '')) return false;
    const { layout, problems } = readHeader(row);
    this.layout = layout;
    for (const { column, reason } of problems) this.complain(1, column, reason);
    return this.file.problemCount === 0;
  }

  private takeLine(row: readonly string[], layout: NonNullable<typeof this.layout>, at: number): void {
    try {
      const line = readLine(row, layout, at);
      this.file.count += 1;
      if (this.file.problemCount === 0 || this.file.lines.length < SAMPLED) this.file.lines.push(line);
    } catch (error) {
      if (!(error instanceof CellProblem)) throw error;
      this.complain(at, error.column, error.message);
    }
  }

  end(): ReadFile {
    const { file, layout } = this;
    if (file.problemCount === 0) {
      if (layout === null) this.complain(0, null, 'The file is empty.');
      else if (file.count === 0) this.complain(0, null, 'There is no reading in the file.');
    }
    return file.problemCount > 0 ? { ...file, lines: file.lines.slice(0, SAMPLED) } : file;
  }
}

/** Line breaks within quoted cells, so that line numbers stay those of an editor. */
function breaksIn(row: readonly string[]): number {
  let count = 0;
  for (const cell of row) if (cell.includes('\n')) count += cell.split('\n').length - 1;
  return count;
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
