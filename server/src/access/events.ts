import type { Request, Response } from 'express';

/** What is told in the log of who came in, who did not, and who may: never with a secret. */
export type SecurityEvent =
  | 'signed in'
  | 'sign-in refused'
  | 'signed out'
  | 'joined'
  | 'owned'
  | 'password changed'
  | 'password set anew'
  | 'code for a new password'
  | 'code asked for by mail'
  | 'address changed'
  | 'address confirmed'
  | 'part changed'
  | 'member removed'
  | 'wrong PIN'
  | 'forgotten'
  | 'backup saved'
  | 'refused'
  | 'too many';

/** Those that somebody who watches over a server should see. */
const WARNINGS: readonly SecurityEvent[] = ['sign-in refused', 'wrong PIN', 'refused', 'too many'];

/** Leaves word of a security event in the log, by whom and from where, and counts it. */
export function tell(
  request: Request,
  response: Response,
  event: SecurityEvent,
  more: Record<string, string | null> = {},
): void {
  (response.locals['count'] as ((event: SecurityEvent) => void) | undefined)?.(event);
  const level = WARNINGS.includes(event) ? 'warn' : 'info';
  request.log?.[level]({ event, from: request.ip, ...more }, event);
}
