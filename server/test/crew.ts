import { randomUUID } from 'node:crypto';

import type { Role } from '@leggero/contract';
import type { GivenCode, Member } from '@leggero/contract/crew';
import type { Express } from 'express';
import supertest from 'supertest';

/** A browser: it keeps its cookies. */
export type Browser = ReturnType<typeof supertest.agent>;

export const PASSWORD = 'kelp and a rope of roe';
const account = (name: string) => ({ name, signInName: name.toLowerCase(), email: null, password: PASSWORD });

/** Who sets up a service and owns its studio. */
export async function ownerOf(app: Express, name = 'Wren'): Promise<Browser> {
  const browser = supertest.agent(app);
  await browser.post('/api/owner').send(account(name)).expect(200);
  return browser;
}

/** A code by which someone joins the studio of an owner. */
export async function codeFor(
  owner: Browser,
  { role, eventId = null, until = null }: { role: Role; eventId?: string | null; until?: string | null },
): Promise<string> {
  const { body } = await owner
    .post('/api/invitations')
    .send({ id: randomUUID(), name: 'someone', role, eventId, until })
    .expect(200);
  return (body as GivenCode).code;
}

/** Someone who joins by a code, with a new account. */
export async function joinedBy(app: Express, code: string, name: string): Promise<Browser> {
  const browser = supertest.agent(app);
  await browser
    .post('/api/invitations/join')
    .send({ code, account: account(name) })
    .expect(200);
  return browser;
}

/** Someone who signs in by their name. */
export async function signedIn(app: Express, name: string, password = PASSWORD): Promise<Browser> {
  const browser = supertest.agent(app);
  await browser.post('/api/sign-in').send({ who: name, password }).expect(200);
  return browser;
}

export async function membersOf(browser: Browser): Promise<Member[]> {
  return (await browser.get('/api/members').expect(200)).body as Member[];
}
