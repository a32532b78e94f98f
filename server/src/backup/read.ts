import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { createGunzip } from 'node:zlib';

import type { z } from 'zod';

import { newestMigration } from '../db/migrate';
import { endSchema, FORM, headSchema, tableSchema, type End, type Head, type Tally } from './form';
import { BackupRefusal } from './refusal';

export type Row = (string | null)[];

/** What a backup consists of, in its order: one head, tables and rows of each, one end. */
export type Part = { head: Head } | { table: string; columns: string[] } | { row: Row } | { end: End };

/** A gzip that is no such thing, or was changed (zlib's own words). */
const NO_GZIP = 'incorrect header check';
const CUT_OFF = 'unexpected end of file';

/**
 * Reads a backup part by part, and checks on the way that it is one, is whole, and says of itself what it holds. What was
 * read counts only once the end came.
 *
 * Throws a BackupRefusal.
 */
export async function* partsOf(file: string): AsyncGenerator<Part> {
  const whole = createHash('sha256');
  const tables: Record<string, Tally> = {};
  let head: Head | null = null;
  let at: { table: string; columns: string[]; rows: number; own: ReturnType<typeof createHash> } | null = null;
  let ended = false;
  const close = () => {
    if (at) tables[at.table] = { rows: at.rows, sha256: at.own.digest('hex') };
  };
  for await (const line of linesOf(file)) {
    if (ended) throw new BackupRefusal('damaged');
    const said = parsed(line, head === null ? 'none' : 'damaged');
    if (head === null) {
      head = checked(headSchema, said, 'none');
      if (head.form > FORM || head.tables > newestMigration()) throw new BackupRefusal('newer');
      yield { head };
    } else if (Array.isArray(said)) {
      if (!at || !isRow(said, at.columns.length)) throw new BackupRefusal('damaged');
      at.own.update(line);
      at.rows += 1;
      yield { row: said };
    } else if (typeof said === 'object' && said !== null && 'end' in said) {
      close();
      const { end } = checked(endSchema, said, 'damaged');
      if (end.sha256 !== whole.digest('hex') || !same(end.tables, tables)) throw new BackupRefusal('damaged');
      ended = true;
      yield { end };
      continue;
    } else {
      close();
      const next = checked(tableSchema, said, 'damaged');
      at = { ...next, rows: 0, own: createHash('sha256') };
      yield next;
    }
    whole.update(line);
  }
  if (head === null) throw new BackupRefusal('none');
  if (!ended) throw new BackupRefusal('cutOff');
}

/** The head of a backup: all else of it is not looked at. */
export async function headOf(file: string): Promise<Head> {
  for await (const part of partsOf(file)) if ('head' in part) return part.head;
  throw new BackupRefusal('none');
}

function parsed(line: Buffer, why: 'none' | 'damaged'): unknown {
  try {
    return JSON.parse(line.toString('utf8'));
  } catch {
    // The last line of what was cut off where it is not compressed.
    throw new BackupRefusal(line.at(-1) === NEWLINE ? why : 'cutOff');
  }
}

function checked<T>(schema: z.ZodType<T>, said: unknown, why: 'none' | 'damaged'): T {
  const result = schema.safeParse(said);
  if (!result.success) throw new BackupRefusal(why, { cause: result.error });
  return result.data;
}

const isRow = (cells: unknown[], count: number): cells is Row =>
  cells.length === count && cells.every((cell) => cell === null || typeof cell === 'string');

const same = (a: Record<string, Tally>, b: Record<string, Tally>): boolean =>
  Object.keys(a).length === Object.keys(b).length &&
  Object.entries(a).every(([table, { rows, sha256 }]) => b[table]?.rows === rows && b[table].sha256 === sha256);

const NEWLINE = 0x0a;

/** The lines of a compressed file, each with its end. */
async function* linesOf(file: string): AsyncGenerator<Buffer> {
  const source = createReadStream(file);
  const unpacked = source.pipe(createGunzip());
  source.once('error', (error) => unpacked.destroy(error));
  let left: Buffer[] = [];
  try {
    for await (const piece of unpacked as AsyncIterable<Buffer>) {
      let from = 0;
      for (let end = piece.indexOf(NEWLINE); end >= 0; end = piece.indexOf(NEWLINE, from)) {
        const last = piece.subarray(from, end + 1);
        yield left.length > 0 ? Buffer.concat([...left, last]) : last;
        left = [];
        from = end + 1;
      }
      if (from < piece.length) left.push(piece.subarray(from));
    }
  } catch (error) {
    if (error instanceof BackupRefusal) throw error;
    const { code, message } = error as NodeJS.ErrnoException;
    if (!code?.startsWith('Z_')) throw error;
    throw new BackupRefusal(message === NO_GZIP ? 'none' : message === CUT_OFF ? 'cutOff' : 'damaged');
  } finally {
    source.destroy();
  }
  if (left.length > 0) yield Buffer.concat(left);
}
