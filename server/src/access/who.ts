import { isAtLeast, STUDIO_QUERY, type Access, type Role, type StudioPlace } from '@leggero/contract';
import { and, asc, eq, gt, isNull, or } from 'drizzle-orm';
import type { Request, RequestHandler, Response } from 'express';

import type { Database } from '../db/connect';
import { WHOLE, type Scope } from '../db/records';
import { members, people, studios } from '../db/tables';
import { HttpProblem } from '../http/problem';
import type { Viewer } from '../person/sessions';
import { anyAccounts, NO_MAIL } from './accounts';
import { sessionOf } from './askAuth';
import type { Auth } from './auth';

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
}

/** Answers who asks. */
export class Gate {
  /** Once someone has signed in, someone always has. */
  private hasAccounts = false;

  constructor(private readonly options: GateOptions) {}

  async whoAsks(request: Request, response: Response): Promise<Who> {
    const { database, auth, home } = this.options;
    if (!(await this.anyAccounts())) return this.isAlone(request) ? alone(database, home) : nobody('setUp');
    const signedIn = await sessionOf(auth, request, response);
    if (!signedIn) return nobody('out');
    const { user, session } = signedIn;
    const places = await placesOf(database, user.id);
    const asked = request.query[STUDIO_QUERY];
    const at = asked === undefined ? places[0] : places.find(({ place }) => place.id === asked);
    const account = {
      ...{ id: user.id, name: user.name, signInName: user.displayUsername ?? null },
      email: user.email.endsWith(NO_MAIL) ? null : user.email,
    };
    return {
      access: { state: 'in', account, studios: places.map(({ place }) => place), at: at?.place.id ?? null },
      scope: at ? { database, studioId: at.place.id, reach: { role: at.place.role, eventId: at.place.eventId } } : null,
      personId: at?.personId ?? null,
      session: session.token,
    };
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

const nobody = (state: 'setUp' | 'out'): Who => ({
  access: { state, account: null, studios: [], at: null },
  ...{ scope: null, personId: null, session: null },
});

const alone = (database: Database, studioId: string): Who => ({
  access: { state: 'alone', account: null, studios: [], at: studioId },
  scope: { database, studioId, reach: WHOLE },
  ...{ personId: null, session: null },
});

/** The studios that someone works in by now, the first one joined first. */
async function placesOf(
  database: Database,
  accountId: string,
): Promise<{ place: StudioPlace; personId: string | null }[]> {
  const { studioId, role, eventId, until } = members;
  const rows = await database
    .select({
      ...{ memberId: members.id, id: studioId, name: studios.name, role, eventId, until },
      ...{ personId: members.personId, pinHash: people.pinHash },
    })
    .from(members)
    .innerJoin(studios, eq(studios.id, studioId))
    .leftJoin(people, eq(people.id, members.personId))
    .where(and(eq(members.accountId, accountId), or(isNull(until), gt(until, new Date().toISOString()))))
    .orderBy(asc(members.since), asc(members.id));
  return rows.map(({ personId, pinHash, ...place }) => ({ place, personId: pinHash === null ? personId : null }));
}

/** Lets routes know who asks, once for each request that wants to know. */
export function asksWho(gate: Gate): RequestHandler {
  return (request, response, next) => {
    let who: Promise<Who> | undefined;
    response.locals['who'] = () => (who ??= gate.whoAsks(request, response));
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
