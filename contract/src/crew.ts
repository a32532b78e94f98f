import { z } from 'zod';

import { accessSchema, memberPartSchema, type MemberPart } from './access';
import { idSchema, instantSchema, nameSchema } from './common';
import type { Route } from './route';

/** Characters of a password; ASVS 5.0, 6.2.1 and 6.2.9. */
export const LEAST_PASSWORD = 8;
export const MOST_PASSWORD = 128;
/** Characters of a name to sign in with. */
export const MOST_SIGN_IN_NAME = 40;

/** A name to sign in with: letters, digits, and what joins them; no blanks, so that it is not mistaken for another. */
export const signInNameSchema = z
  .string()
  .trim()
  .min(2, 'Two characters or more')
  .max(MOST_SIGN_IN_NAME, `At most ${MOST_SIGN_IN_NAME} characters`)
  .regex(/^[\p{L}\p{N}][\p{L}\p{N}._-]*$/u, 'Letters and digits, with . _ - between them');

const passwordSchema = z
  .string()
  .min(LEAST_PASSWORD, `${LEAST_PASSWORD} characters or more`)
  .max(MOST_PASSWORD, `At most ${MOST_PASSWORD} characters`);

export const emailSchema = z.email('This is no e-mail address').max(200);
/** Whom somebody means: a name to sign in with, or an address. */
export const whoSchema = z.string().trim().min(1, 'Give your name').max(255);

/** What makes an account. */
export const accountMakeSchema = z.object({
  name: nameSchema,
  signInName: signInNameSchema,
  email: emailSchema.nullable().default(null),
  password: passwordSchema,
});
export type AccountMake = z.input<typeof accountMakeSchema>;

/** What an invitation, or a code for a new password, is known by. */
export const codeSchema = z.string().trim().min(1, 'Give the code').max(80);

/** What one is to be: nothing has to be said of an event where none is meant. */
const memberPartMakeSchema = memberPartSchema.extend({
  eventId: memberPartSchema.shape.eventId.default(null),
  until: memberPartSchema.shape.until.default(null),
});
/** Whether a part says all that it has to: a helper has an event and a date; nobody else has. */
export const isWholePart = ({ role, eventId, until }: MemberPart): boolean =>
  role === 'helper' ? eventId !== null && until !== null : eventId === null && until === null;
const HELPS = { message: 'A helper is for one event, until a date', path: ['eventId'] };

const memberSchema = memberPartSchema.extend({
  id: idSchema,
  name: nameSchema,
  signInName: z.string().nullable(),
  since: instantSchema,
  /** Whether it is who asks. */
  me: z.boolean(),
});
export type Member = z.infer<typeof memberSchema>;

const invitationSchema = memberPartSchema.extend({
  id: idSchema,
  /** For whom, in the words of who invites. */
  name: nameSchema,
  expiresAt: instantSchema,
});
export type Invitation = z.infer<typeof invitationSchema>;

/** What is told of an invitation to whoever holds its code. */
const invitedSchema = memberPartSchema.omit({ eventId: true }).extend({
  studio: nameSchema,
  name: nameSchema,
  /** Its name. */
  event: z.string().nullable(),
});
export type Invited = z.infer<typeof invitedSchema>;

export const signedInDeviceSchema = z.object({
  id: idSchema,
  /** What its browser calls itself, and from where it was last heard. */
  userAgent: z.string().nullable(),
  address: z.string().nullable(),
  since: instantSchema,
  usedAt: instantSchema,
  /** Whether it is the one that asks. */
  here: z.boolean(),
});
export type SignedInDevice = z.infer<typeof signedInDeviceSchema>;

const passkeySchema = z.object({
  id: idSchema,
  name: z.string(),
  madeAt: instantSchema.nullable(),
});
export type Passkey = z.infer<typeof passkeySchema>;

/** What passes between a browser and the package that keeps passkeys, as WebAuthn has it. */
const webAuthnSchema = z.looseObject({});

/** A code, in full this once. */
export const givenCodeSchema = z.object({ code: z.string(), expiresAt: instantSchema });
export type GivenCode = z.infer<typeof givenCodeSchema>;

/** Signing in, and who works in a studio. */
export const CREW_ROUTES = {
  /** The first account, which owns the studio of this machine; open to a network, only with the code of its start. */
  claim: {
    method: 'POST',
    path: '/api/owner',
    request: accountMakeSchema.extend({ code: codeSchema.nullable().default(null) }),
    response: accessSchema,
    least: null,
  },
  /** By name or e-mail. */
  signIn: {
    method: 'POST',
    path: '/api/sign-in',
    request: z.object({
      who: whoSchema,
      password: z.string().max(MOST_PASSWORD),
    }),
    response: accessSchema,
    least: null,
  },
  /** What a browser is asked to sign with a passkey, and what it answers. */
  passkeySignInOptions: {
    method: 'GET',
    path: '/api/sign-in/passkey',
    response: webAuthnSchema,
    least: null,
  },
  passkeySignIn: {
    method: 'POST',
    path: '/api/sign-in/passkey',
    request: z.object({ response: webAuthnSchema }),
    response: accessSchema,
    least: null,
  },
  signOut: { method: 'POST', path: '/api/sign-out', least: null },
  /** What an invitation is for, to whoever holds its code. */
  readInvitation: {
    method: 'POST',
    path: '/api/invitations/look',
    request: z.object({ code: codeSchema }),
    response: invitedSchema,
    least: null,
  },
  /** Takes an invitation up: with a new account, or as who is signed in. */
  join: {
    method: 'POST',
    path: '/api/invitations/join',
    request: z.object({ code: codeSchema, account: accountMakeSchema.nullable().default(null) }),
    response: accessSchema,
    least: null,
  },
  /** A new password by the code that an owner gave. */
  newPassword: {
    method: 'POST',
    path: '/api/new-password',
    request: z.object({ code: codeSchema, password: passwordSchema }),
    least: null,
  },
  changePassword: {
    method: 'POST',
    path: '/api/account/password',
    request: z.object({ before: z.string().max(MOST_PASSWORD), password: passwordSchema }),
    least: 'helper',
  },
  listDevices: {
    method: 'GET',
    path: '/api/account/devices',
    response: z.array(signedInDeviceSchema),
    least: 'helper',
  },
  endDevice: { method: 'DELETE', path: '/api/account/devices/:id', least: 'helper' },
  listPasskeys: { method: 'GET', path: '/api/account/passkeys', response: z.array(passkeySchema), least: 'helper' },
  /** What a browser is asked to make a passkey of, and what it answers. */
  passkeyOptions: { method: 'GET', path: '/api/account/passkeys/options', response: webAuthnSchema, least: 'helper' },
  keepPasskey: {
    method: 'POST',
    path: '/api/account/passkeys',
    request: z.object({ name: nameSchema, response: webAuthnSchema }),
    least: 'helper',
  },
  removePasskey: { method: 'DELETE', path: '/api/account/passkeys/:id', least: 'helper' },
  /** Another studio on this server, owned by who makes it. */
  makeStudio: {
    method: 'POST',
    path: '/api/account/studios',
    request: z.object({ id: idSchema, name: nameSchema }),
    response: accessSchema,
    least: null,
  },
  listMembers: { method: 'GET', path: '/api/members', response: z.array(memberSchema), least: 'maker' },
  changeMember: {
    method: 'PATCH',
    path: '/api/members/:id',
    request: memberPartMakeSchema.refine(isWholePart, HELPS),
    response: memberSchema,
    least: 'owner',
  },
  /** Ends someone's work in the studio; everyone may end their own. */
  removeMember: { method: 'DELETE', path: '/api/members/:id', least: 'helper' },
  /** A code by which someone who forgot their password sets another one. */
  resetMember: { method: 'POST', path: '/api/members/:id/reset', response: givenCodeSchema, least: 'owner' },
  listInvitations: { method: 'GET', path: '/api/invitations', response: z.array(invitationSchema), least: 'owner' },
  invite: {
    method: 'POST',
    path: '/api/invitations',
    /** `email`: where it goes by mail too. */
    request: memberPartMakeSchema
      .extend({ id: idSchema, name: nameSchema, email: emailSchema.nullable().default(null) })
      .refine(isWholePart, HELPS),
    response: givenCodeSchema.extend({ mailed: z.boolean() }),
    least: 'owner',
  },
  withdrawInvitation: { method: 'DELETE', path: '/api/invitations/:id', least: 'owner' },
} as const satisfies Record<string, Route>;
