import { ROLES } from '@leggero/contract';
import type { SharedContent } from '@leggero/contract/share';
import { char, index, mysqlEnum, mysqlTable, unique, varchar } from 'drizzle-orm/mysql-core';

import { accounts } from './accounts';
import { events } from './builds';
import { document, id, instant, owned } from './columns';
import { people, studioId } from './studio';

/** Of which event one is a helper, and until when. */
const helping = () => ({ eventId: char('event_id', { length: 36 }), until: instant('until_at') });

/** Who works in a studio, and as what. */
export const members = mysqlTable(
  'members',
  {
    id: id(),
    studioId: studioId(),
    accountId: char('account_id', { length: 36 })
      .notNull()
      .references(() => accounts.id, { onDelete: 'cascade' }),
    role: mysqlEnum('role', ROLES).notNull(),
    /** Who they are among the studio's people. */
    personId: char('person_id', { length: 36 }).references(() => people.id, { onDelete: 'set null' }),
    ...helping(),
    since: instant('since_at').notNull(),
  },
  (t) => [
    unique('members_account').on(t.studioId, t.accountId),
    index('members_of').on(t.accountId),
    owned('members_event', [t.eventId, t.studioId], [events.id, events.studioId], 'cascade'),
  ],
);

/** Invitations that were not taken up yet; their code is kept as its hash alone. */
export const invitations = mysqlTable(
  'invitations',
  {
    id: id(),
    studioId: studioId(),
    codeHash: char('code_hash', { length: 64 }).notNull(),
    /** For whom, in the words of who invites. */
    name: varchar('name', { length: 80 }).notNull(),
    role: mysqlEnum('role', ROLES).notNull(),
    ...helping(),
    expiresAt: instant('expires_at').notNull(),
  },
  (t) => [
    unique('invitations_code').on(t.codeHash),
    index('invitations_list').on(t.studioId),
    owned('invitations_event', [t.eventId, t.studioId], [events.id, events.studioId], 'cascade'),
  ],
);

/** What is shared of an event, as it was then, with whoever has the code; that is kept as its hash alone. */
export const shares = mysqlTable(
  'shares',
  {
    id: id(),
    studioId: studioId(),
    eventId: char('event_id', { length: 36 }).notNull(),
    kind: mysqlEnum('kind', ['sheet', 'copy']).notNull(),
    codeHash: char('code_hash', { length: 64 }).notNull(),
    content: document<SharedContent>()('content').notNull(),
    expiresAt: instant('expires_at').notNull(),
  },
  (t) => [
    unique('shares_code').on(t.codeHash),
    index('shares_list').on(t.studioId, t.expiresAt),
    owned('shares_event', [t.eventId, t.studioId], [events.id, events.studioId], 'cascade'),
  ],
);

/** Whose private pages are open on which device, by the hash of what the device is known by. */
export const openPages = mysqlTable(
  'open_pages',
  {
    token: char('token', { length: 64 }).primaryKey(),
    personId: char('person_id', { length: 36 })
      .notNull()
      .references(() => people.id, { onDelete: 'cascade' }),
    until: instant('until_at').notNull(),
  },
  (t) => [index('open_pages_until').on(t.until)],
);
