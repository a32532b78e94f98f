import { idSchema } from '@leggero/contract';
import { type ImportProgress, FILE_ENCODINGS, READING_FILE_PATHS } from '@leggero/contract/readingFile';
import express, { type Request, type Response, type Router } from 'express';
import { z } from 'zod';

import { allow, scopeOf } from '../access/who';
import { databaseError, isAway } from '../db/connect';
import { download } from '../http/download';
import { HttpProblem } from '../http/problem';
import { importReadings } from './import';
import { readingLines } from './write';

/** 200,000 lines of readings are some 30 MB. */
const MOST_FILE = '40mb';

const encodingSchema = z.enum(FILE_ENCODINGS).default('utf-8');

/** Files of readings: text both ways, so they stand beside the routes of the contract. */
export function readingFileRoutes(router: Router): void {
  router.get(READING_FILE_PATHS.write, allow(), async (request, response) => {
    const { model } = request.query;
    if (model !== undefined && !idSchema.safeParse(model).success) throw HttpProblem.notFound();
    const lines = readingLines(scopeOf(response), model as string | undefined);
    await download(response, lines, { name: 'leggero-readings.csv', type: 'text/csv; charset=utf-8' });
  });
  const body = express.raw({ type: 'text/csv', limit: MOST_FILE });
  const reading = (write: boolean) => async (request: Request, response: Response) => {
    const bytes: unknown = request.body;
    if (!(bytes instanceof Uint8Array)) throw new HttpProblem(415, 'A file of readings is text/csv.');
    const encoding = encodingSchema.safeParse(request.query['encoding']);
    if (!encoding.success) throw new HttpProblem(400, 'This encoding is not known here.');
    await stream(response, (send) =>
      importReadings(scopeOf(response), {
        bytes,
        encoding: encoding.data,
        write,
        now: new Date(),
        onProgress: (phase, done, of) => send({ phase, done, of }),
      }).then((report) => send({ report })),
    );
  };
  router.post(READING_FILE_PATHS.look, allow(), body, reading(false));
  router.post(READING_FILE_PATHS.read, allow(), body, reading(true));
}

/** Answers line by line while the work goes on. Once it has begun, a failure is told in the last line. */
async function stream(
  response: Response,
  work: (send: (line: ImportProgress) => void) => Promise<void>,
): Promise<void> {
  response.type('application/x-ndjson');
  const send = (line: ImportProgress) => {
    response.write(`${JSON.stringify(line)}\n`);
    response.flush?.();
  };
  try {
    await work(send);
  } catch (error) {
    if (!response.headersSent) throw error;
    send({ failed: `${whyNot(error)} Nothing was imported.` });
  }
  response.end();
}

function whyNot(error: unknown): string {
  if (error instanceof HttpProblem) return error.message;
  const known = databaseError(error);
  return known && isAway(known.code) ? 'The records cannot be reached just now.' : 'Something went wrong here.';
}
