import type { GivenCode, Invited } from '@leggero/contract/crew';

import { accountOf, addresseeOf } from '../access/accounts';
import type { Auth } from '../access/auth';
import { confirmationCode, passwordCode } from '../access/codes';
import type { Database } from '../db/connect';
import type { By } from '../db/records';
import { Allowance } from './allowance';
import { changedLetter, confirmationLetter, invitationLetter, passwordLetter, type Changed } from './letters';
import type { Letter, Post } from './post';

const HOUR_MS = 3_600_000;

interface MailingOptions {
  database: Database;
  auth: Auth;
  post: Post;
  /** Leaves word of a mail that nobody took. */
  log: (error: unknown) => void;
}

/** Writes to people for the studios of this server. What cannot be handed over is told in the log, and stops nothing. */
export class Mailing {
  private readonly invitations: Allowance;
  private readonly confirmations: Allowance;
  private readonly codes: Allowance;
  private readonly askers: Allowance;

  constructor(private readonly options: MailingOptions) {
    const { database } = options;
    this.invitations = new Allowance(database, 'mailed invitations', { most: 100, windowMs: 24 * HOUR_MS });
    this.confirmations = new Allowance(database, 'mailed confirmations', { most: 10, windowMs: 24 * HOUR_MS });
    this.codes = new Allowance(database, 'mailed codes', { most: 5, windowMs: HOUR_MS });
    this.askers = new Allowance(database, 'who asks for mailed codes', { most: 20, windowMs: HOUR_MS });
  }

  /** Mails an invitation of a studio: whether it was taken. `by`: whose, where they are known. */
  async invitation({
    to,
    by,
    invited,
    ...given
  }: { to: string; by: By | null; invited: Invited } & GivenCode): Promise<boolean> {
    // Whoever makes many studios has no more mails by it.
    if (!(await this.invitations.takes(by?.id ?? ''))) return false;
    const { code, expiresAt } = given;
    const { name, studio, event, role, until } = invited;
    const leading = { home: this.options.post.home, code, expiresAt };
    return this.send(
      to,
      invitationLetter({ ...leading, name, studio, event, by: by?.name ?? null, part: { role, eventId: null, until } }),
    );
  }

  /** Asks whether somebody reads at an account's address, where that is not known: whether that may be asked again. */
  async confirmation(accountId: string): Promise<boolean> {
    const { database, auth, post } = this.options;
    const account = await addresseeOf(database, accountId);
    if (!account?.email || account.confirmed) return true;
    if (!(await this.confirmations.takes(accountId))) return false;
    const { name, email } = account;
    const given = await confirmationCode(auth, { id: accountId, email });
    await this.send(email, confirmationLetter({ ...given, name, home: post.home }));
    return true;
  }

  /** Whether whoever asks from an address may ask for a code. */
  mayAsk(address: string): Promise<boolean> {
    return this.askers.takes(address);
  }

  /** Mails a code for a new password to whom somebody means, where they have an address that they confirmed. */
  async passwordCode(who: string): Promise<void> {
    const { database, auth, post } = this.options;
    const found = await accountOf(database, who);
    const account = found && (await addresseeOf(database, found.id));
    if (!account?.confirmed || account.email === null || !(await this.codes.takes(account.id))) return;
    const given = await passwordCode(auth, account.id);
    await this.send(account.email, passwordLetter({ ...given, name: account.name, home: post.home }));
  }

  /** Tells an account that how it signs in was changed, at its address or at the one it had. */
  async changed(accountId: string, what: Changed, before?: string): Promise<void> {
    const { database, post } = this.options;
    const account = await addresseeOf(database, accountId);
    const to = before ?? (account?.confirmed ? account.email : null);
    if (account && to !== null) await this.send(to, changedLetter({ name: account.name, what, home: post.home }));
  }

  private async send(to: string, letter: Omit<Letter, 'to'>): Promise<boolean> {
    try {
      await this.options.post.send({ to, ...letter });
      return true;
    } catch (error) {
      this.options.log(error);
      return false;
    }
  }
}
