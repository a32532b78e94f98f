import type { Request, Response } from 'express';

import { HttpProblem } from '../http/problem';
import { ADDRESS_HEADER, AUTH_PATH, type Auth } from './auth';

/** Headers that the package of accounts is told: no forwarded ones, which anyone may make up. */
function headersOf({ headers, ip }: Request): Headers {
  const told = new Headers();
  for (const name of ['cookie', 'host', 'origin', 'user-agent', 'sec-fetch-site', 'sec-fetch-mode', 'sec-fetch-dest']) {
    const value = headers[name];
    if (typeof value === 'string') told.set(name, value);
  }
  if (ip) told.set(ADDRESS_HEADER, ip);
  return told;
}

/** The address that a request was sent to. */
const originOf = (request: Request): string => `${request.protocol}://${request.headers.host}`;

/** The cookie of a session, signed; null where a request has none. */
export function sessionCookieOf({ headers: { cookie = '' } }: Request): string | null {
  return /(?:^|;\s*)(?:__Secure-)?leggero\.session_token=([^;]+)/.exec(cookie)?.[1] ?? null;
}

/** The session that a request is of; null where nobody is signed in. Its cookie is renewed where it is time. */
export async function sessionOf(auth: Auth, request: Request, response: Response) {
  if (sessionCookieOf(request) === null) return null;
  const asked = await auth.api.getSession({ headers: headersOf(request), returnHeaders: true });
  passCookies(asked.headers, response);
  return asked.response;
}

/**
 * Asks the package of accounts by its own address, with its limits and checks, and passes on the cookies it sets.
 * Answers what it said; throws a problem where it refuses.
 */
export async function askAuth(
  auth: Auth,
  {
    request,
    response,
    path,
    method = 'POST',
    body,
  }: { request: Request; response: Response; path: string; method?: 'GET' | 'POST'; body?: object },
): Promise<unknown> {
  const headers = headersOf(request);
  if (body) headers.set('content-type', 'application/json');
  // Of a program that is no browser, which sends none.
  if (!headers.has('origin')) headers.set('origin', originOf(request));
  const answered = await auth.handler(
    new Request(`${originOf(request)}${AUTH_PATH}${path}`, {
      method,
      headers,
      ...(body ? { body: JSON.stringify(body) } : {}),
    }),
  );
  passCookies(answered.headers, response);
  if (answered.ok) return answered.json().catch(() => null);
  if (answered.status === 429) {
    const seconds = Number(answered.headers.get('x-retry-after') ?? 60);
    response.setHeader('Retry-After', String(seconds));
    throw new HttpProblem(429, `Too many tries from here: wait ${seconds} s.`);
  }
  throw new RefusedByAuth(answered.status);
}

/** What the package of accounts refused. */
class RefusedByAuth extends HttpProblem {
  constructor(status: number) {
    super(status >= 500 ? 500 : status, 'This was refused: sign in again, and try once more.');
  }
}

/** Whether the package of accounts said no, and did not just stumble. */
export function isRefusal(error: unknown): boolean {
  return error instanceof RefusedByAuth && error.status < 500;
}

function passCookies(from: Headers, response: Response): void {
  for (const cookie of from.getSetCookie()) response.append('Set-Cookie', cookie);
}
