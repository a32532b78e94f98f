import { APP_ROUTES, mayWrite, type Access, type NounName, type Role } from '@leggero/contract';
import { useEffect } from 'react';
import { create } from 'zustand';

import { beginAnew, isBegun, OPENED_AT } from '@/device/begin';

import { ApiError, call, onShut } from './client';
import { here, remember, type Place } from './place';
import { forget, handOn } from './replica';
import { useRecords } from './state';

/** Who this device is for, as the server said last; null until it has. */
export const useAccess = create<{ access: Access | null }>()(() => ({ access: null }));

/** What whoever is at this device may do in its studio. */
export const roleHere = (): Role => here()?.role ?? 'owner';

/** Whether whoever is at this device may write a noun. */
export const may = (noun: NounName): boolean => mayWrite(roleHere(), noun);

/** Pages before the app itself, each with what brings it up. */
export type DoorName = 'confirm' | 'join' | 'new-password' | 'shared' | 'set-up' | 'sign-in' | 'nowhere';

/** What stands in the way of the app at an address; null where nothing does. */
export function doorAt(access: Access | null, pathname: string): DoorName | null {
  if (pathname === '/confirm') return 'confirm';
  if (pathname === '/join') return 'join';
  if (pathname === '/new-password') return 'new-password';
  if (pathname === '/shared') return 'shared';
  if (access?.state === 'setUp') return 'set-up';
  if (access?.state === 'out') return 'sign-in';
  return access?.state === 'in' && access.studios.length === 0 ? 'nowhere' : null;
}

/** Where whoever signs in goes on: the page that was asked for, where that is not one that leads here. */
const OPENED_PAGE = OPENED_AT.replace(/\?.*/, '');
const LEADS_HERE = doorAt(null, OPENED_PAGE) !== null || OPENED_PAGE === '/studio/owner';
const OPENED = LEADS_HERE ? '/' : OPENED_AT;

/** Whether mails go from this server. */
export const useMails = (): boolean => useAccess(({ access }) => access?.mails ?? false);

/** What was tried and is not for whoever is at this device to do; null once that was told. */
export const useBarred = create<{ noun: NounName | null }>()(() => ({ noun: null }));

let asking: Promise<void> | null = null;
/** Goes on while this device is on its way elsewhere; whether the page begins anew then. */
let moving: Promise<boolean> | null = null;

/** Asks who this device is for; while nobody answers it is for whom it was. */
export function learnAccess(): Promise<void> {
  return (asking ??= call(APP_ROUTES.readAccess)
    .then(settle)
    .catch((error: unknown) => {
      if (!(error instanceof ApiError)) throw error;
    })
    .finally(() => (asking = null)));
}

/**
 * Takes in who this device is for. Where that is another studio, or another part in it, the page begins anew: within a
 * studio at the address it was opened by.
 */
export async function settle(access: Access): Promise<void> {
  // Until it has begun anew the page stays as it is: what would be tapped in it meanwhile would be lost.
  if (isBegun() || (await moving?.catch(() => false))) return;
  const next = placeIn(access);
  const before = here();
  const ended = before !== null && access.state === 'in' && access.studios.every(({ id }) => id !== before.studioId);
  if (next !== 'as it was' && !isSame(next, before)) {
    const same = before === null || before.studioId === next?.studioId;
    if (await moveTo(next, { address: same ? OPENED : '/', ended })) return;
  } else if (useAccess.getState().access?.state === 'out' && access.state === 'in') {
    // The same as before the door was shut.
    return beginAnew(OPENED);
  }
  useAccess.setState({ access });
}

/** Where the page begins anew, and whether whoever worked here works here no longer. */
interface Way {
  address: string;
  ended: boolean;
}
const USUAL_WAY: Way = { address: '/', ended: false };

/**
 * Works somewhere else from now on. What this device kept of the place before goes; what waits there goes along within
 * the same studio, and else stays until someone signs in there again. `ended`: they work there no longer, so that nothing
 * of it stays, nor would the studio take what waits. Answers whether the page begins anew.
 */
export const moveTo = (next: Place | null, how: Partial<Way> = {}): Promise<boolean> =>
  onItsWay(move(next, { ...USUAL_WAY, ...how }));

/**
 * Leaves once the server has let go of whoever is signed in: nothing of the studio stays on this device but what still
 * waits. `asked` answers null where it does not. It is on its way from then on: the server shuts it out before it answers.
 */
export const leave = (asked: Promise<unknown>): Promise<boolean> =>
  onItsWay(asked.then((answer) => answer !== null && move(null, USUAL_WAY)));

function onItsWay(going: Promise<boolean>): Promise<boolean> {
  return (moving = going.finally(() => (moving = null)));
}

async function move(next: Place | null, { address, ended }: Way): Promise<boolean> {
  const { waiting, rows } = useRecords.getState();
  const [studioId] = rows.studio.keys();
  const along = next !== null && next.studioId === studioId;
  if (waiting.length === 0 || along || ended) await forget();
  if (along) await handOn(waiting, next);
  // Begun anew without knowing where, it would go there again and again.
  const begins = remember(next);
  if (begins) beginAnew(address);
  return begins;
}

/** The place that someone has by the server's word: the studio it answers from, or the first of theirs. */
function placeIn({ state, account, studios, at }: Access): Place | null | 'as it was' {
  if (state === 'alone') return null;
  // Who has to sign in may be the one that this device is for: what waits here is theirs.
  if (!account) return 'as it was';
  const studio = studios.find(({ id }) => id === at) ?? studios[0];
  return studio ? { studioId: studio.id, accountId: account.id, role: studio.role, eventId: studio.eventId } : null;
}

function isSame(one: Place | null, other: Place | null): boolean {
  if (!one || !other) return one === other;
  const fields = ['studioId', 'accountId', 'role', 'eventId'] as const;
  return fields.every((field) => one[field] === other[field]);
}

/** Learns who this device is for, now and whenever the server shuts it out. */
export function useAccessLearned(): void {
  useEffect(() => {
    onShut(() => void learnAccess());
    void learnAccess();
  }, []);
}
