import { ROLES } from '@leggero/contract';
import { char, index, mysqlEnum, mysqlTable, unique, varchar } from 'drizzle-orm/mysql-core';

import { accounts } from './accounts';
import { events } from './builds';
import { id, instant, owned } from './columns';
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
