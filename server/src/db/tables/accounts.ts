import {
  bigint,
  boolean,
  char,
  datetime,
  index,
  int,
  mysqlTable,
  primaryKey,
  text,
  unique,
  varchar,
} from 'drizzle-orm/mysql-core';

import { exactly, id, instant } from './columns';

/** A moment as the package that keeps accounts has it. */
const moment = (name: string) => datetime(name, { fsp: 3, mode: 'date' });
const madeAndChanged = () => ({
  createdAt: moment('created_at').notNull(),
  updatedAt: moment('updated_at').notNull(),
});
/** Whose it is: it goes with the account. */
const accountId = (name = 'account_id') =>
  char(name, { length: 36 })
    .notNull()
    .references(() => accounts.id, { onDelete: 'cascade' });

/** Someone who signs in, in whichever studios they work. The fields of these tables are named as their package asks. */
export const accounts = mysqlTable(
  'accounts',
  {
    id: id(),
    name: varchar('name', { length: 80 }).notNull(),
    email: varchar('email', { length: 255 }).notNull(),
    emailVerified: boolean('email_verified').notNull().default(false),
    image: varchar('image', { length: 255 }),
    /** What they sign in with, and as they wrote it. */
    username: varchar('username', { length: 40 }),
    displayUsername: varchar('display_username', { length: 40 }),
    ...madeAndChanged(),
  },
  (t) => [unique('accounts_email').on(t.email), unique('accounts_username').on(t.username)],
);

/** Devices on which someone is signed in. */
export const accountSessions = mysqlTable(
  'account_sessions',
  {
    id: id(),
    userId: accountId(),
    token: exactly('token', 64).notNull(),
    expiresAt: moment('expires_at').notNull(),
    ipAddress: varchar('ip_address', { length: 64 }),
    userAgent: varchar('user_agent', { length: 1024 }),
    ...madeAndChanged(),
  },
  (t) => [unique('account_sessions_token').on(t.token), index('account_sessions_of').on(t.userId)],
);

/** What someone signs in by: the hash of a password. */
export const credentials = mysqlTable(
  'credentials',
  {
    id: id(),
    userId: accountId('user_id'),
    accountId: varchar('account_id', { length: 64 }).notNull(),
    providerId: varchar('provider_id', { length: 40 }).notNull(),
    password: varchar('password', { length: 255 }),
    accessToken: text('access_token'),
    refreshToken: text('refresh_token'),
    idToken: text('id_token'),
    accessTokenExpiresAt: moment('access_token_expires_at'),
    refreshTokenExpiresAt: moment('refresh_token_expires_at'),
    scope: varchar('scope', { length: 255 }),
    ...madeAndChanged(),
  },
  (t) => [unique('credentials_of').on(t.userId, t.providerId)],
);

/** Words of short life: challenges of passkeys, codes for a new password. */
export const verifications = mysqlTable(
  'verifications',
  {
    id: id(),
    identifier: exactly('identifier', 255).notNull(),
    value: text('value').notNull(),
    expiresAt: moment('expires_at').notNull(),
    ...madeAndChanged(),
  },
  (t) => [index('verifications_identifier').on(t.identifier), index('verifications_expires').on(t.expiresAt)],
);

/** Keys that a device keeps for someone. */
export const passkeys = mysqlTable(
  'passkeys',
  {
    id: id(),
    userId: accountId(),
    name: varchar('name', { length: 80 }),
    publicKey: text('public_key').notNull(),
    credentialID: exactly('credential_id', 512).notNull(),
    counter: int('counter', { unsigned: true }).notNull(),
    deviceType: varchar('device_type', { length: 32 }).notNull(),
    backedUp: boolean('backed_up').notNull(),
    transports: varchar('transports', { length: 255 }),
    aaguid: varchar('aaguid', { length: 64 }),
    createdAt: moment('created_at'),
  },
  (t) => [unique('passkeys_credential').on(t.credentialID), index('passkeys_of').on(t.userId)],
);

/** How often an address asked for something of an account, over all processes. */
export const askedOften = mysqlTable(
  'asked_often',
  {
    id: id(),
    key: varchar('asked_key', { length: 255 }).notNull(),
    count: int('count').notNull(),
    lastRequest: bigint('last_request', { mode: 'number' }).notNull(),
  },
  (t) => [unique('asked_often_key').on(t.key)],
);

/** Wrong passwords in a row, by the hash of whom they were tried for. */
export const wrongTries = mysqlTable('wrong_tries', {
  key: char('tried_key', { length: 64 }).primaryKey(),
  count: int('count').notNull(),
  at: instant('at').notNull(),
});

/** Devices on which an account was signed in before, by the hash of what they are known by: wrong tries elsewhere do not hold them up. */
export const knownDevices = mysqlTable(
  'known_devices',
  { accountId: accountId(), device: char('device', { length: 64 }).notNull(), at: instant('at').notNull() },
  (t) => [primaryKey({ columns: [t.accountId, t.device] })],
);

/** How often something was tried within a time, by what it is counted, over all processes. */
export const counters = mysqlTable(
  'counters',
  {
    key: char('counted_key', { length: 64 }).primaryKey(),
    count: int('count').notNull(),
    until: instant('until_at').notNull(),
  },
  (t) => [index('counters_until').on(t.until)],
);
