import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

import type { Response } from 'express';

/** Answers with a file to be kept, as its pieces come. Until the first is there, a failure is answered as one. */
export async function download(
  response: Response,
  pieces: AsyncIterable<string | Buffer>,
  { name, type }: { name: string; type: string },
): Promise<void> {
  const rest = pieces[Symbol.asyncIterator]();
  const first = await rest.next();
  response.setHeader('Content-Disposition', `attachment; filename="${name}"`);
  response.type(type);
  await pipeline(Readable.from(from(first, rest)), response);
}

async function* from<Piece>(first: IteratorResult<Piece>, rest: AsyncIterator<Piece>): AsyncGenerator<Piece> {
  try {
    for (let piece = first; !piece.done; piece = await rest.next()) yield piece.value;
  } finally {
    // Whoever leaves in the middle lets go of what is read for them.
    await rest.return?.();
  }
}
