import {
  CHANGES_PATH,
  changesSchema,
  pathOf,
  problemSchema,
  type Changes,
  type ProblemDocument,
  type Route,
  type SchemaOf,
} from '@leggero/contract';
import type { z } from 'zod';

import { inStudio } from './place';

/** How long an answer may take, ms: a network that swallows what is sent must not hold up all that comes after. */
const MOST_MS = 30_000;
/** Refusals of the moment: sign in, time out, too early, too many. */
const LATER = new Set([401, 408, 425, 429]);

/** Whether what was refused with this status may be taken later. */
export function isLater(status: number): boolean {
  return status >= 500 || LATER.has(status);
}

/** The server answered with a problem, or could not be reached (status 0), or not in time (408). */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly problem: ProblemDocument | null = null,
  ) {
    super(problem?.title ?? 'The server cannot be reached.');
  }

  /** Whether asking again later may help. What is not told in our own form was told by something in between. */
  get passing(): boolean {
    return this.problem === null || isLater(this.status);
  }

  /** Whether the server was reached, and stumbled over this very request. */
  get stumbled(): boolean {
    return this.status === 408 || (this.status === 500 && this.problem !== null);
  }
}

let shut = (): void => {};

/** Says what is done once the server lets this device in no longer, or not to this. */
export function onShut(then: () => void): void {
  shut = then;
}

interface Asked {
  method: string;
  body?: unknown;
  signal?: AbortSignal | undefined;
}

/** Calls a route of the contract; `query`: what its address asks. */
export function call<R extends Route>(
  route: R,
  {
    id,
    body,
    query,
    signal,
  }: { id?: string; body?: unknown; query?: Record<string, string>; signal?: AbortSignal } = {},
): Promise<z.output<SchemaOf<R, 'response'>>> {
  const { method } = route;
  const asking = query ? `?${String(new URLSearchParams(query))}` : '';
  return ask(inStudio(`${pathOf(route, id)}${asking}`), { method, body, signal }, (response) =>
    answerOf(route, response),
  ) as Promise<z.output<SchemaOf<R, 'response'>>>;
}

/** What was written since a cursor, a page of it. */
export function readChanges(since: string, signal: AbortSignal): Promise<Changes> {
  const path = `${CHANGES_PATH}?since=${encodeURIComponent(since)}`;
  return ask(inStudio(path), { method: 'GET', signal }, async (response) => {
    const read = changesSchema.safeParse(await response.json());
    if (!read.success) throw new ApiError(0);
    return read.data as Changes;
  });
}

/** Asks the server, within a time; throws an `ApiError` for whatever comes instead of an answer. */
async function ask<T>(
  path: string,
  { method, body, signal }: Asked,
  read: (response: Response) => Promise<T>,
): Promise<T> {
  // Older phones can neither join signals nor have one that ends by itself.
  const end = new AbortController();
  const giveUp = () => end.abort();
  let late = false;
  const timer = setTimeout(() => {
    late = true;
    giveUp();
  }, MOST_MS);
  if (signal?.aborted) giveUp();
  signal?.addEventListener('abort', giveUp);
  try {
    const response = await fetch(path, {
      method,
      headers: {
        Accept: 'application/json',
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      signal: end.signal,
    });
    if (response.status === 401 || response.status === 403) shut();
    if (!response.ok) throw new ApiError(response.status, await readProblem(response));
    return await read(response);
  } catch (error) {
    if (error instanceof ApiError || signal?.aborted) throw error;
    throw new ApiError(late ? 408 : 0);
  } finally {
    clearTimeout(timer);
    signal?.removeEventListener('abort', giveUp);
  }
}

/**
 * What a success carries. A page that a hotel's network puts in between is none: of a write only an answer of our own
 * form counts.
 */
async function answerOf({ method, response: schema }: Route, response: Response): Promise<unknown> {
  if (!schema) {
    if (response.status !== 204) throw new ApiError(0);
    return undefined;
  }
  const body: unknown = await response.json();
  if (method !== 'GET' && !schema.safeParse(body).success) throw new ApiError(0);
  return body;
}

/** The problem that a refusal carries; null where it is not in our form. */
export async function readProblem(response: Response): Promise<ProblemDocument | null> {
  try {
    return problemSchema.parse(await response.json());
  } catch {
    return null;
  }
}
