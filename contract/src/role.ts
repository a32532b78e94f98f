import { ROLES, type Role } from './noun';
import { NOUNS, type NounName } from './nouns';

/** Whether someone may do what a role may at least do. */
export function isAtLeast(role: Role, least: Role): boolean {
  return ROLES.indexOf(role) >= ROLES.indexOf(least);
}

/** Whether a role sees rows of a noun: a helper those of one event alone, where it says by what they hang on it. */
export function mayRead(role: Role, noun: NounName): boolean {
  return role !== 'helper' || NOUNS[noun].forHelper !== 'none';
}

/** Whether a role writes rows of a noun: a helper those of one event alone. */
export function mayWrite(role: Role, noun: NounName): boolean {
  const { writtenBy, forHelper } = NOUNS[noun];
  if (role !== 'helper') return isAtLeast(role, writtenBy);
  return typeof forHelper === 'object' && forHelper.writes;
}
