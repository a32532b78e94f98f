import { isAtLeast, STUDIO_QUERY, type Access, type Role } from '@leggero/contract';
import type { Request, RequestHandler, Response } from 'express';

import type { Database } from '../db/connect';
import { WHOLE, type Scope } from '../db/records';
import { HttpProblem } from '../http/problem';
import type { Viewer } from '../person/openPages';
import { anyAccounts } from './accounts';
import { sessionCookieOf, sessionOf } from './askAuth';
import type { Auth } from './auth';
import { ShortMemory } from './shortMemory';
import { standingOf, type SignedIn } from './standing';

/** Who asks, where they may, and the studio that is meant. */
export interface Who {
  access: Access;
  scope: Scope | null;
  /** Who they are among the studio's people, where no PIN keeps that; null where it is not known. */
  personId: string | null;
  /** The token of their session; null where nobody is signed in. */
  session: string | null;
}

export interface GateOptions {
  database: Database;
  auth: Auth;
  /** The studio of this installation: of whoever is at its machine until someone signs in. */
  home: string;
  /** Whether others than this machine can reach it. */
  open: boolean;
  /** Whether mails go from here. */
  mails: boolean;
}

/** How long is known who a device is for, ms: what another process ended is ended here by then. */
const KNOWN_MS = 5000;
/** How long a cookie is known to be of a session, ms: so often the package of accounts is asked, which renews cookies. */
const SIGNED_MS = 3_600_000;
const MOST_KNOWN = 10_000;

/** Answers who asks. */
export class Gate {
  /** Once someone has signed in, someone always has. */
  private hasAccounts = false;
  private readonly tokens = new ShortMemory<string | null>(SIGNED_MS, MOST_KNOWN);
  private readonly known = new ShortMemory<SignedIn | null>(KNOWN_MS, MOST_KNOWN);

  constructor(private readonly options: GateOptions) {}

  async whoAsks(request: Request, response: Response): Promise<Who> {
    const { database, home, mails } = this.options;
    if (!(await this.anyAccounts()))
      return this.isAlone(request) ? alone(database, home, mails) : nobody('setUp', mails);
    const cookie = sessionCookieOf(request);
    const signedIn =
      cookie === null ? null : await this.known.get(cookie, () => this.signedIn(cookie, request, response));
    if (!signedIn) return nobody('out', mails);
    const { account, session } = signedIn;
    // A part that ends by the clock ends then.
    const places = signedIn.places.filter(({ place: { until } }) => until === null || Date.parse(until) > Date.now());
    const asked = request.query[STUDIO_QUERY];
    const at = asked === undefined ? places[0] : places.find(({ place }) => place.id === asked);
    return {
      access: { state: 'in', account, studios: places.map(({ place }) => place), at: at?.place.id ?? null, mails },
      scope: at
        ? {
            ...{ database, studioId: at.place.id, by: { id: account.id, name: account.name } },
            reach: { role: at.place.role, eventId: at.place.eventId },
          }
        : null,
      personId: at?.personId ?? null,
      session,
    };
  }

  /** Forgets whom it knew: somebody signs in or out, or their part changes. */
  forget(): void {
    this.known.forget();
  }

  private async signedIn(cookie: string, request: Request, response: Response): Promise<SignedIn | null> {
    const { database, auth } = this.options;
    // Whose a cookie is never changes, and takes longer to find out than all that is asked of the records.
    const token = await this.tokens.get(cookie, async () => {
      const signed = await sessionOf(auth, request, response);
      return signed?.session.token ?? null;
    });
    const signedIn = token === null ? null : await standingOf(database, token);
    if (!signedIn) this.tokens.forget(cookie);
    return signedIn;
  }

  /** Whether anyone can sign in. */
  async anyAccounts(): Promise<boolean> {
    if (this.hasAccounts) return true;
    return (this.hasAccounts = await anyAccounts(this.options.database));
  }

  /** Whether a request is from this very machine, and not by way of something that hands on those of others. */
  private isAlone({ socket, headers }: Request): boolean {
    if (this.options.open) return false;
    const from = socket.remoteAddress?.replace(/^::ffff:/, '') ?? '';
    const handedOn = HANDED_ON.some((name) => headers[name] !== undefined);
    return (from === '::1' || from.startsWith('127.')) && !handedOn;
  }
}

/** What proxies say of whom they ask for. */
const HANDED_ON = ['forwarded', 'via', 'x-forwarded-for', 'x-forwarded-host', 'x-forwarded-proto', 'x-real-ip'];

const nobody = (state: 'setUp' | 'out', mails: boolean): Who => ({
  access: { state, account: null, studios: [], at: null, mails },
  ...{ scope: null, personId: null, session: null },
});

const alone = (database: Database, studioId: string, mails: boolean): Who => ({
  access: { state: 'alone', account: null, studios: [], at: studioId, mails },
  scope: { database, studioId, reach: WHOLE },
  ...{ personId: null, session: null },
});

/** Routes below /api after which somebody may be somebody else, or no longer be here. */
const CHANGES_WHO = /^\/(owner|sign-in|sign-out|account|invitations|members|new-password|people|studio|events)/;

/** Lets routes know who asks, once for each request that wants to know. */
export function asksWho(gate: Gate): RequestHandler {
  return (request, response, next) => {
    let who: Promise<Who> | undefined;
    response.locals['who'] = () => (who ??= gate.whoAsks(request, response));
    if (request.method !== 'GET' && CHANGES_WHO.test(request.path)) {
      gate.forget();
      // Before its answer goes, so that whoever has that is known anew.
      const { end } = response;
      response.end = ((...args: Parameters<typeof end>) => {
        gate.forget();
        return end.apply(response, args);
      }) as typeof end;
    }
    next();
  };
}

/** Who asks. */
export function whoOf({ locals }: Response): Promise<Who> {
  return (locals['who'] as () => Promise<Who>)();
}

/**
 * Lets in who may at least do what a role may, and lets the route know their studio and what they may see of it. A route
 * that has no such thing names it to be null, and is let through.
 */
export function allow(least: Role | null = 'maker'): RequestHandler {
  return async (_, response, next) => {
    if (least === null) return next();
    const { access, scope, personId } = await whoOf(response);
    if (access.state === 'setUp') throw new HttpProblem(401, 'Nobody has set up who owns this studio yet.');
    if (access.state === 'out') throw HttpProblem.signedOut();
    if (!scope) throw new HttpProblem(403, 'You do not work in this studio, or no longer do.');
    if (!isAtLeast(scope.reach.role, least)) throw HttpProblem.notAllowed(least === 'helper' ? 'maker' : least);
    response.locals['scope'] = scope;
    response.locals['viewer'] = asPerson(response.locals['viewer'] as Viewer, personId, access.state === 'in');
    next();
  };
}

/** A viewer who, signed in, has their own pages open without a word. */
function asPerson(viewer: Viewer, own: string | null, signedIn: boolean): Viewer {
  return {
    get personId() {
      return viewer.personId ?? own;
    },
    signedIn,
    open: (personId) => viewer.open(personId),
    close: () => viewer.close(),
    closeElsewhere: (personId) => viewer.closeElsewhere(personId),
  };
}

/** The studio that a request is scoped to. */
export function scopeOf({ locals }: Response): Scope {
  const scope = locals['scope'] as Scope | undefined;
  // Of a route that nobody is let in to: a slip of ours, and nothing is to be seen by it.
  if (!scope) throw HttpProblem.signedOut();
  return scope;
}
