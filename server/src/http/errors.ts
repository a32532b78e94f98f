import type { ErrorRequestHandler } from 'express';

import { tell } from '../access/events';
import { databaseError, isAway, isFull, isHeld } from '../db/connect';
import { HttpProblem } from './problem';

/** Seconds after which it is worth asking again while the database is away. */
const RETRY_SECONDS = 2;

/** Turns whatever was thrown into a problem document. */
export const answerProblems: ErrorRequestHandler = (error, request, response, next) => {
  if (response.headersSent) return next(error);
  const known = problemOf(error);
  if (known.status >= 500) request.log?.error({ err: error }, known.message);
  if (known.status === 403 || known.status === 421) tell(request, response, 'refused');
  if (known.status === 503) response.setHeader('Retry-After', String(RETRY_SECONDS));
  response.status(known.status).type('application/problem+json').json(known.document());
};

/** Whatever was thrown, as a problem that can be told. */
export function problemOf(error: unknown): HttpProblem {
  if (error instanceof HttpProblem) return error;
  const refused = requestProblem(error);
  if (refused) return refused;
  const database = databaseError(error);
  if (!database) return new HttpProblem(500, 'Something went wrong here. Nothing was saved.');
  if (isAway(database.code)) return new HttpProblem(503, 'The records cannot be reached just now.');
  if (isHeld(database.code)) return new HttpProblem(503, 'The records are busy just now.');
  if (isFull(database.code, database.message)) return HttpProblem.noRoom();
  if (database.code === 'ER_NO_REFERENCED_ROW_2') return unknownReference(database.message);
  if (database.code === 'ER_ROW_IS_REFERENCED_2') {
    return HttpProblem.conflict('This is still in use elsewhere, so it was kept.');
  }
  if (database.code === 'ER_DUP_ENTRY') return HttpProblem.conflict('This place is already taken.');
  return new HttpProblem(500, 'The records refused this. Nothing was saved.');
}

/**
 * What Express' own parts refuse: a body too large or not JSON, an address that cannot be read, a file that is not
 * there.
 */
function requestProblem(error: unknown): HttpProblem | null {
  const { type, status } = (error ?? {}) as { type?: unknown; status?: unknown };
  if (type === 'entity.too.large') return new HttpProblem(413, 'That is more than is taken at once.');
  if (type === 'entity.parse.failed') return new HttpProblem(400, 'What was sent is not JSON.');
  if (status === 404) return new HttpProblem(404, 'There is no such file.');
  if (typeof status === 'number' && status >= 400 && status < 500) {
    return new HttpProblem(status, 'The request cannot be read.');
  }
  return error instanceof URIError ? new HttpProblem(400, 'The address cannot be read.') : null;
}

/** A reference to a row that is not the studio's; the constraint tells which field. */
function unknownReference(message: string): HttpProblem {
  const column = /FOREIGN KEY \(`(\w+)`/.exec(message)?.[1] ?? '';
  const path = column.replace(/_(\w)/g, (_, letter: string) => letter.toUpperCase());
  return HttpProblem.unknown(path);
}
