import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

import type { Response } from 'express';

/** Answers with a file to be kept, as its pieces come. Until the first is there, a failure is answered as one. */
export async function download(
  response: Response,
  pieces: AsyncGenerator<string>,
  { name, type }: { name: string; type: string },
): Promise<void> {
  const first = await pieces.next();
  response.setHeader('Content-Disposition', `attachment; filename="${name}"`);
  response.type(type);
  await pipeline(Readable.from(from(first, pieces)), response);
}

async function* from(first: IteratorResult<string>, rest: AsyncIterable<string>): AsyncGenerator<string> {
  if (first.done) return;
  yield first.value;
  yield* rest;
}
