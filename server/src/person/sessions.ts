import { randomBytes } from 'node:crypto';

/** Who asks: the person whose private pages are open on the device, if anyone's are. */
export interface Viewer {
  readonly personId: string | null;
  /** Whether someone signed in on the device: then nobody's pages open by a tap on their name alone. */
  readonly signedIn: boolean;
  /** Opens this person's pages on the device, instead of whosever were open. */
  open(personId: string): void;
  close(): void;
  /** Closes this person's pages on every other device. */
  closeElsewhere(personId: string): void;
}

/**
 * Whose private pages are open on which device. Kept here and not in the cookie, which only has the device's token: a
 * copy of it opens nothing once the pages were closed. Forgotten with the process.
 */
export class Sessions {
  private readonly open = new Map<string, { personId: string; until: number }>();

  constructor(private readonly lastsMs: number) {}

  /** The viewer that a device's cookie stands for; what it opens or closes is written to that cookie. */
  viewerOf(cookie: { get(): string | undefined; set(token: string | null): void }): Viewer {
    const { open } = this;
    const token = () => cookie.get() ?? '';
    const forget = () => {
      open.delete(token());
      cookie.set(null);
    };
    const personOf = () => this.personOf(token());
    return {
      get personId() {
        return personOf();
      },
      signedIn: false,
      open: (personId) => {
        forget();
        const fresh = randomBytes(24).toString('base64url');
        open.set(fresh, { personId, until: Date.now() + this.lastsMs });
        cookie.set(fresh);
      },
      close: forget,
      closeElsewhere: (personId) => {
        for (const [other, session] of open) {
          if (session.personId === personId && other !== token()) open.delete(other);
        }
      },
    };
  }

  private personOf(token: string): string | null {
    const session = this.open.get(token);
    if (!session) return null;
    if (session.until > Date.now()) return session.personId;
    this.open.delete(token);
    return null;
  }
}
