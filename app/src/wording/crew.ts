import type { MemberPart, Role } from '@leggero/contract';
import type { Invited, Member, SignedInDevice } from '@leggero/contract/crew';

import { dayText, momentText } from './day';

/** What someone is in a studio, and what that lets them do. */
export const ROLE_WORDS: Record<Role, { title: string; note: string }> = {
  owner: { title: 'Owner', note: 'All of it, and who works here' },
  planner: { title: 'Planner', note: 'Designs and buys, runs and checks' },
  maker: { title: 'Maker', note: 'Runs, measures and checks' },
  helper: { title: 'Helper', note: 'One event: its recipe, its run and its site list, until a day' },
};

/** "Helper at Tidepool Night, until Sat, 5 Dec, 23:00"; `eventOf`: the name of an event. */
export function partText({ role, eventId, until }: MemberPart, eventOf: (id: string) => string): string {
  const { title } = ROLE_WORDS[role];
  if (eventId === null || until === null) return title;
  return `${title} at ${eventOf(eventId)}, until ${momentText(until)}`;
}

/** What an invitation is for, to whom it invites. */
export function invitedText({ role, event, until }: Invited): string {
  if (event !== null && until !== null)
    return `As a helper at ${event}, until ${momentText(until)}: its recipe, its run and its site list.`;
  return `As ${role === 'owner' ? 'an' : 'a'} ${role}: ${lower(ROLE_WORDS[role].note)}.`;
}

const lower = (text: string) => `${text.charAt(0).toLowerCase()}${text.slice(1)}`;

/** "since 5 Oct, signs in as maren" */
export function memberNote({ since, signInName }: Pick<Member, 'since' | 'signInName'>): string {
  return `since ${dayText(since)}${signInName ? `, signs in as ${signInName}` : ''}`;
}

/** Browsers and devices by a word of what they call themselves; the first that fits. */
const BROWSERS = [
  ['Edg', 'Edge'],
  ['Firefox', 'Firefox'],
  ['Chrome', 'Chrome'],
  ['Safari', 'Safari'],
] as const;
const DEVICES = [
  ['iPhone', 'iPhone'],
  ['iPad', 'iPad'],
  ['Android', 'Android'],
  ['Windows', 'Windows'],
  ['Mac OS', 'Mac'],
  ['Linux', 'Linux'],
] as const;

/** "Chrome on Android", as far as a browser says. */
export function deviceText(userAgent: string | null): string {
  const named = (of: readonly (readonly [string, string])[]) => of.find(([word]) => userAgent?.includes(word))?.[1];
  const [browser, device] = [named(BROWSERS), named(DEVICES)];
  return [browser ?? 'A browser', device && `on ${device}`].filter(Boolean).join(' ');
}

/** "this device", or when and from where it was used last. */
export function usedText({ here, usedAt, address }: SignedInDevice): string {
  return here ? 'this device' : `used ${momentText(usedAt)}${address ? ` from ${address}` : ''}`;
}

/** What is said to who tries what is not theirs to keep: "As a maker you may try this; planners and owners keep it." */
export function barredText(role: Role, least: 'maker' | 'planner' | 'owner'): string {
  const who = { maker: 'who works in the studio keeps', planner: 'planners and owners keep', owner: 'owners keep' };
  const keeps = role === 'helper' && least === 'maker' ? who.maker : who[least];
  return `As a ${role} you may try this, but only ${keeps} it.`;
}

/** "You help Saltmarsh Balloon Works here until Sat, 5 Dec, 23:00." */
export function helpingText({ name, until }: { name: string; until: string | null }): string {
  return `You help ${name} here${until ? ` until ${momentText(until)}` : ''}.`;
}

/** How someone gets at an invitation; `to`: where it was to go by mail. */
export function invitationSays({ name, to, mailed }: { name: string; to: string | null; mailed: boolean }): string {
  const byHand = `Let ${name} scan this, or send the link. It joins one person.`;
  if (to === null) return byHand;
  return mailed ? `A mail is on its way to ${to}. ${byHand}` : `No mail could be sent to ${to}. ${byHand}`;
}

/** What is known of someone's address; `mails`: whether mails go from here. */
export function addressText(
  { email, confirmed }: { email: string | null; confirmed: boolean },
  mails: boolean,
): string {
  if (email === null)
    return mails ? 'None so far: with one, a new password can be mailed to you.' : 'None so far: you sign in by name.';
  if (!mails) return `You sign in by ${email} too.`;
  return confirmed
    ? `${email} is confirmed: a new password can be mailed there.`
    : `${email} is not confirmed yet: a mail with a link went there.`;
}
