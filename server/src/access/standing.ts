import type { Access, StudioPlace } from '@leggero/contract';
import { and, asc, eq, gt, isNull, or } from 'drizzle-orm';

import type { Database } from '../db/connect';
import { accounts, accountSessions, members, people, studios } from '../db/tables';
import { shownEmail } from './accounts';

/** A studio that someone works in, and who they are among its people where no PIN keeps that. */
export interface Standing {
  place: StudioPlace;
  personId: string | null;
}

/** What a session stands for: who it is of, and where they work by now, the studio first that they joined first. */
export interface SignedIn {
  session: string;
  account: NonNullable<Access['account']>;
  places: Standing[];
}

/** What a session stands for, by its token, in one statement; null where it has ended. */
export async function standingOf(database: Database, token: string): Promise<SignedIn | null> {
  const now = new Date();
  const { id, studioId, accountId, role, eventId, until, personId, since } = members;
  const rows = await database
    .select({
      account: {
        ...{ id: accounts.id, name: accounts.name, signInName: accounts.displayUsername },
        ...{ email: accounts.email, confirmed: accounts.emailVerified },
      },
      member: { memberId: id, id: studioId, role, eventId, until },
      studio: { name: studios.name },
      person: { id: personId, pinHash: people.pinHash },
    })
    .from(accountSessions)
    .innerJoin(accounts, eq(accounts.id, accountSessions.userId))
    .leftJoin(members, and(eq(accountId, accounts.id), or(isNull(until), gt(until, now.toISOString()))))
    .leftJoin(studios, eq(studios.id, studioId))
    .leftJoin(people, eq(people.id, personId))
    .where(and(eq(accountSessions.token, token), gt(accountSessions.expiresAt, now)))
    .orderBy(asc(since), asc(id));
  const [first] = rows;
  if (!first) return null;
  const { account } = first;
  return {
    session: token,
    account: { ...account, email: shownEmail(account.email) },
    places: rows.flatMap(({ member, studio, person }) =>
      member && studio
        ? { place: { ...member, ...studio }, personId: person?.pinHash == null ? (person?.id ?? null) : null }
        : [],
    ),
  };
}
