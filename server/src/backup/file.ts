import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { createWriteStream } from 'node:fs';
import { mkdir, open, rename, rm } from 'node:fs/promises';
import path from 'node:path';
import { PassThrough, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { constants, createGzip, type Gzip } from 'node:zlib';

import type { Head } from './form';

/** How hard is packed: a backup is to be through soon. */
const LEVEL = 1;
/** Bytes that it hands on at once: fewer would each wait for their turn. */
const CHUNK = 1 << 18;
/** Bytes that wait for it, so that reading goes on meanwhile. */
const AHEAD = 1 << 19;
/** How a picture is told: it holds nothing that comes again, and to look for it takes three times as long. */
const PICTURE = ';base64,';

/**
 * A backup as it goes into a file: compressed, pictures and the rest each in a member of their own (RFC 1952, 2.2), which
 * any gunzip reads as one.
 */
export function packed(pieces: AsyncIterable<Buffer>): Readable {
  const out = new PassThrough();
  void pack(pieces, out).catch((error: unknown) => out.destroy(error as Error));
  return out;
}

async function pack(pieces: AsyncIterable<Buffer>, out: PassThrough): Promise<void> {
  const closed = new AbortController();
  out.once('close', () => closed.abort());
  const until = (from: Gzip, event: string) => once(from, event, { signal: closed.signal });
  const begin = (strategy: number) => {
    const options = { level: LEVEL, chunkSize: CHUNK, strategy, highWaterMark: AHEAD };
    const member = createGzip(options);
    member.once('error', (error) => out.destroy(error)).pipe(out, { end: false });
    return member;
  };
  const end = async (member: Gzip) => {
    member.end();
    await until(member, 'end');
  };
  let pictures = false;
  let member = begin(constants.Z_DEFAULT_STRATEGY);
  for await (const piece of pieces) {
    closed.signal.throwIfAborted();
    if (piece.includes(PICTURE) !== pictures) {
      pictures = !pictures;
      await end(member);
      member = begin(pictures ? constants.Z_HUFFMAN_ONLY : constants.Z_DEFAULT_STRATEGY);
    }
    if (!member.write(piece)) await until(member, 'drain');
  }
  await end(member);
  out.end();
}

/** What the file of a backup ends in: lines of JSON, compressed. */
export const EXTENSION = '.ndjson.gz';

/** What half a file is called. */
export const HALF = '.part';

/** What a file of a backup is called: by whose records, and when. */
export function fileName({ studio, madeAt }: Pick<Head, 'studio' | 'madeAt'>): string {
  const plain = studio.name.normalize('NFKD').replaceAll(/[^A-Za-z0-9]+/g, '-');
  const word = plain.replaceAll(/^-+|-+$/g, '').toLowerCase();
  return `leggero-${word || 'studio'}-${stampOf(madeAt)}${EXTENSION}`;
}

/** A moment as it stands in names of files, to the second: 2026-11-30T03.00.00. */
export const stampOf = (iso: string): string => iso.slice(0, 19).replaceAll(':', '.');

/**
 * Writes a backup into a file, compressed, for its owner alone, and answers which: `nameOf` looks at what was written first,
 * and names it. A file of half a backup never bears the name of a whole one, and has it once it lies on the disk.
 */
export async function writeFile(
  folder: string,
  pieces: AsyncIterable<Buffer>,
  nameOf: (part: string) => Promise<string> | string,
): Promise<string> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const part = path.join(folder, `${randomUUID()}${HALF}`);
  try {
    await pipeline(packed(pieces), createWriteStream(part, { mode: 0o600 }));
    const written = await open(part, 'r+');
    await written.sync();
    await written.close();
    const file = path.join(folder, await nameOf(part));
    await rename(part, file);
    return file;
  } finally {
    await rm(part, { force: true });
  }
}
