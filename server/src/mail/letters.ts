import type { MemberPart } from '@leggero/contract';
import type { GivenCode } from '@leggero/contract/crew';

import type { Letter } from './post';

type Words = Omit<Letter, 'to'>;

/** What a letter is about, and where its reader goes on. */
interface Leading extends GivenCode {
  home: URL;
}

/** A page of the app with a code behind the `#`, which browsers send to no server. */
const linkTo = (page: string, { home, code }: Leading): string => new URL(`/${page}#${code}`, home).href;

const dayOf = (instant: string): string =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' }).format(new Date(instant));
const momentOf = (instant: string): string =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeStyle: 'short', timeZone: 'UTC' }).format(
    new Date(instant),
  );

const asLetter = (subject: string, ...paragraphs: string[]): Words => ({
  subject,
  text: `${paragraphs.join('\n\n')}\n`,
});

const AS = { owner: 'as an owner', planner: 'as a planner', maker: 'as a maker', helper: 'as a helper' } as const;

/** Asks somebody to join a studio. */
export function invitationLetter({
  name,
  studio,
  event,
  by,
  part: { role, until },
  ...leading
}: Leading & { name: string; studio: string; event: string | null; by: string | null; part: MemberPart }): Words {
  const as = event !== null && until !== null ? `to help at ${event}, until ${dayOf(until)}` : AS[role];
  return asLetter(
    `${studio}: work with us`,
    `Hello ${name},`,
    `${by ?? 'The owner'} of ${studio} asks you to join their studio on Leggero ${as}.`,
    `Open this on the phone that you work with. It joins one person, and is good until ${dayOf(leading.expiresAt)}:`,
    linkTo('join', leading),
    'If you expected nothing of the kind, leave it: nothing happens by itself.',
  );
}

/** Brings a code for a new password. */
export function passwordLetter({ name, ...leading }: Leading & { name: string }): Words {
  return asLetter(
    'A new password for Leggero',
    `Hello ${name},`,
    `Somebody, you we hope, asked for a new password. Set it here, until ${momentOf(leading.expiresAt)} UTC:`,
    linkTo('new-password', leading),
    'If it was not you, leave it: your password stays as it is.',
  );
}

/** Asks whether somebody reads at an address. */
export function confirmationLetter({ name, ...leading }: Leading & { name: string }): Words {
  const { home, expiresAt } = leading;
  return asLetter(
    'Is this your address?',
    `Hello ${name},`,
    `An account of Leggero at ${home.host} has this address. Confirm that it is yours, until ${dayOf(expiresAt)}:`,
    linkTo('confirm', leading),
    'From then on a new password can be mailed to you here. If you know nothing of it, leave it.',
  );
}

/** What of how somebody signs in was changed. */
export type Changed = 'password' | 'address';

/** Tells somebody that how they sign in was changed. */
export function changedLetter({ name, what, home }: { name: string; what: Changed; home: URL }): Words {
  return asLetter(
    `Your ${what} for Leggero was changed`,
    `Hello ${name},`,
    `The ${what} of your account at ${home.host} was changed just now.`,
    'If it was not you, ask an owner of your studio for a code for a new password: it signs out every device.',
  );
}
