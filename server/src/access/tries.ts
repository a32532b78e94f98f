import { randomBytes } from 'node:crypto';

import { and, eq, lt, sql } from 'drizzle-orm';
import type { Request, Response } from 'express';

import type { Database } from '../db/connect';
import { knownDevices, wrongTries } from '../db/tables';
import { HttpProblem } from '../http/problem';
import { hashOf } from './secret';

/** So many slips cost nothing; each one more doubles the wait, up to this, s. */
const FREE_TRIES = 5;
const LONGEST_WAIT_S = 300;
/** After so long without a wrong try they are forgotten, ms. */
const FORGOTTEN_MS = 86_400_000;

const DEVICE_COOKIE = 'leggero.device';
const DEVICE_MS = 400 * 86_400_000;

/** How long is waited after so many wrong tries in a row, s. */
export function waitAfter(count: number): number {
  return count < FREE_TRIES ? 0 : Math.min(LONGEST_WAIT_S, 2 ** (count - FREE_TRIES));
}

/**
 * Slows down guessing at one account's password, from however many addresses. Devices on which it was signed in before
 * are counted apart, so that who guesses elsewhere does not lock its owner out.
 *
 * Source: OWASP Authentication Cheat Sheet, "Device cookies" in "Slow Down Online Guessing Attacks with Device Cookies".
 */
export class Tries {
  constructor(private readonly database: Database) {}

  /** Refuses with 429 while there is to be waited. Answers by what the try is counted. */
  async keyOf(
    request: Request,
    response: Response,
    { who, accountId }: { who: string; accountId: string | null },
  ): Promise<string> {
    const device = deviceOf(request);
    const known = device !== null && accountId !== null && (await this.knows(accountId, device));
    const key = hashOf(`${accountId ?? who.toLowerCase()} ${known ? device : ''}`);
    const [tried] = await this.database.select().from(wrongTries).where(eq(wrongTries.key, key));
    if (!tried) return key;
    const waitMs = Date.parse(tried.at) + 1000 * waitAfter(tried.count) - Date.now();
    if (waitMs <= 0) return key;
    const seconds = Math.ceil(waitMs / 1000);
    response.setHeader('Retry-After', String(seconds));
    throw new HttpProblem(429, `Too many wrong passwords: wait ${seconds} s.`);
  }

  /** Counts a wrong try. */
  async wrong(key: string): Promise<void> {
    const at = new Date().toISOString();
    const before = new Date(Date.now() - FORGOTTEN_MS).toISOString();
    await this.database.delete(wrongTries).where(lt(wrongTries.at, before));
    await this.database
      .insert(wrongTries)
      .values({ key, count: 1, at })
      .onDuplicateKeyUpdate({ set: { count: sql`count + 1`, at: sql`values(at)` } });
  }

  /** Forgets wrong tries once a right one came, and knows the device from then on. */
  async right(
    key: string,
    {
      request,
      response,
      accountId,
      secure,
    }: { request: Request; response: Response; accountId: string; secure: boolean },
  ): Promise<void> {
    await this.database.delete(wrongTries).where(eq(wrongTries.key, key));
    const device = deviceOf(request) ?? randomBytes(24).toString('base64url');
    const at = new Date().toISOString();
    await this.database
      .insert(knownDevices)
      .values({ accountId, device: hashOf(device), at })
      .onDuplicateKeyUpdate({ set: { at } });
    response.cookie(DEVICE_COOKIE, device, { httpOnly: true, sameSite: 'strict', secure, maxAge: DEVICE_MS });
  }

  private async knows(accountId: string, device: string): Promise<boolean> {
    const [row] = await this.database
      .select({ at: knownDevices.at })
      .from(knownDevices)
      .where(and(eq(knownDevices.accountId, accountId), eq(knownDevices.device, hashOf(device))));
    return row !== undefined;
  }
}

/** What a browser is known by; null where it was never signed in. */
function deviceOf({ headers: { cookie = '' } }: Request): string | null {
  return /(?:^|;\s*)leggero\.device=([\w-]{32})(?:;|$)/.exec(cookie)?.[1] ?? null;
}
