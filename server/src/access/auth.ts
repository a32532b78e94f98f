import { passkey } from '@better-auth/passkey';
import { hash, verify } from '@node-rs/argon2';
import { LEAST_PASSWORD, MOST_PASSWORD, MOST_SIGN_IN_NAME, signInNameSchema } from '@leggero/contract/crew';
import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { username } from 'better-auth/plugins/username';

import type { Database } from '../db/connect';
import { accounts, accountSessions, askedOften, credentials, passkeys, verifications } from '../db/tables';

/** The header by which the server tells the package of accounts whose request it is; whatever a client sends in it is dropped. */
export const ADDRESS_HEADER = 'x-leggero-address';
export const AUTH_PATH = '/api/auth';

/** How long a device stays signed in without being used, and after how long of use that is counted anew, s. */
const SIGNED_IN_S = 30 * 86_400;
const RENEWED_S = 86_400;

/** A studio behind one router signs in together in the morning; a guesser is done with these at once. */
const SIGN_INS = { window: 60, max: 40 };
const CODES = { window: 60, max: 20 };

export interface AuthOptions {
  database: Database;
  /** Signs cookies; the same for all processes of a service. */
  secret: string;
  /** Whether browsers reach it by https. */
  secure: boolean;
}

/** Accounts, sessions and passkeys, as the package keeps them: in this database, so that all processes share them. */
export function createAuth({ database, secret, secure }: AuthOptions) {
  return betterAuth({
    appName: 'Leggero',
    basePath: AUTH_PATH,
    // By which names it may be called is looked at before (`onlyOwnPages`).
    baseURL: { allowedHosts: ['*', '**'], protocol: secure ? 'https' : 'http' },
    secret,
    database: drizzleAdapter(database, {
      provider: 'mysql',
      schema: {
        user: accounts,
        session: accountSessions,
        account: credentials,
        verification: verifications,
        passkey: passkeys,
        rateLimit: askedOften,
      },
    }),
    emailAndPassword: {
      enabled: true,
      minPasswordLength: LEAST_PASSWORD,
      maxPasswordLength: MOST_PASSWORD,
      revokeSessionsOnPasswordReset: true,
      password: { hash: (password) => hash(password), verify: ({ hash: known, password }) => verify(known, password) },
    },
    session: { expiresIn: SIGNED_IN_S, updateAge: RENEWED_S },
    verification: { storeIdentifier: 'hashed' },
    rateLimit: {
      enabled: true,
      storage: 'database',
      window: 60,
      max: 300,
      customRules: {
        '/sign-in/*': SIGN_INS,
        '/passkey/verify-authentication': SIGN_INS,
        '/change-password': CODES,
        '/reset-password': CODES,
      },
    },
    advanced: {
      cookiePrefix: 'leggero',
      useSecureCookies: secure,
      defaultCookieAttributes: { sameSite: 'strict', httpOnly: true, path: '/' },
      database: { generateId: () => crypto.randomUUID() },
      ipAddress: { ipAddressHeaders: [ADDRESS_HEADER] },
      trustedProxyHeaders: false,
    },
    plugins: [
      username({
        minUsernameLength: 2,
        maxUsernameLength: MOST_SIGN_IN_NAME,
        usernameValidator: (name) => signInNameSchema.safeParse(name).success,
      }),
      passkey({ rpName: 'Leggero' }),
    ],
    telemetry: { enabled: false },
    logger: { disabled: true },
  });
}

export type Auth = ReturnType<typeof createAuth>;
