import { randomBytes } from 'node:crypto';

import { and, eq, gt, ne } from 'drizzle-orm';

import { hashOf } from '../access/secret';
import type { Database } from '../db/connect';
import { openPages } from '../db/tables';

/** Who asks: the person whose private pages are open on the device, if anyone's are. */
export interface Viewer {
  readonly personId: string | null;
  /** Whether someone signed in on the device: then nobody's pages open by a tap on their name alone. */
  readonly signedIn: boolean;
  /** Opens this person's pages on the device, instead of whosever were open. */
  open(personId: string): Promise<void>;
  close(): Promise<void>;
  /** Closes this person's pages on every other device. */
  closeElsewhere(personId: string): Promise<void>;
}

/** A device's cookie, as far as it tells whose pages are open. */
interface Cookie {
  get(): string | undefined;
  set(token: string | null): void;
}

/**
 * Whose private pages are open on which device. Kept in the records, where all processes see it, and not in the cookie,
 * which only has the device's token: a copy of it opens nothing once the pages were closed.
 */
export class OpenPages {
  constructor(
    private readonly database: Database,
    private readonly lastsMs: number,
  ) {}

  /** The viewer that a device's cookie stands for; what it opens or closes is written to that cookie. */
  async viewerOf(cookie: Cookie): Promise<Viewer> {
    const { database, lastsMs } = this;
    const known = () => hashOf(cookie.get() ?? '');
    let personId = await this.personOf(cookie);
    const close = async () => {
      if (cookie.get() !== undefined) await database.delete(openPages).where(eq(openPages.token, known()));
      cookie.set(null);
      personId = null;
    };
    return {
      get personId() {
        return personId;
      },
      signedIn: false,
      async open(next) {
        await close();
        const token = randomBytes(24).toString('base64url');
        const until = new Date(Date.now() + lastsMs).toISOString();
        await database.insert(openPages).values({ token: hashOf(token), personId: next, until });
        cookie.set(token);
        personId = next;
      },
      close,
      async closeElsewhere(of) {
        await database.delete(openPages).where(and(eq(openPages.personId, of), ne(openPages.token, known())));
      },
    };
  }

  private async personOf(cookie: Cookie): Promise<string | null> {
    const token = cookie.get();
    if (token === undefined) return null;
    const [open] = await this.database
      .select({ personId: openPages.personId })
      .from(openPages)
      .where(and(eq(openPages.token, hashOf(token)), gt(openPages.until, new Date().toISOString())));
    return open?.personId ?? null;
  }
}
