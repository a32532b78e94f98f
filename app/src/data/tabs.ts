import type { Changes } from '@leggero/contract';

import { newId } from '@/device/id';
import { pause } from '@/device/pause';

import type { Keep } from './keep';
import { here, nameOf } from './place';
import type { Standing } from './state';

/** What tabs of one device tell one another. */
export type Message =
  /** What waits is another; some of it was taken back. */
  | { kind: 'outbox'; withdrawn?: string[] }
  /** The server told this. */
  | { kind: 'changes'; changes: Changes }
  /** It told so much that it is better read from what the device keeps. */
  | { kind: 'much' }
  /** Something private was written. */
  | { kind: 'private' }
  /** How the way to the server is. */
  | { kind: 'standing'; standing: Standing }
  /** The server should be asked what is new. */
  | { kind: 'pull' }
  /** This device is for someone else from now on. */
  | { kind: 'left' };

export interface Channel {
  tell(message: Message): void;
}

const listeners = new Set<(message: Message) => void>();

/** Opens the way to the other tabs of a name; null where there is none. */
export function openChannel(name: string): Channel | null {
  if (typeof BroadcastChannel === 'undefined') return null;
  const channel = new BroadcastChannel(name);
  channel.onmessage = ({ data }: MessageEvent<Message>) => {
    for (const listen of listeners) listen(data);
  };
  return { tell: (message) => channel.postMessage(message) };
}

/** Calls with what other tabs tell; answers how that ends. */
export function listenToTabs(listen: (message: Message) => void): () => void {
  listeners.add(listen);
  return () => listeners.delete(listen);
}

/** How long a tab leads without a word, ms, and how often it gives one. */
const LEASE_MS = 6000;
const RENEWED_MS = 2000;

/**
 * Has one tab of the device at a time do some work, until the signal it is given ends. By a Web Lock; where there are
 * none (plain http), by a lease in what the device keeps; where it keeps nothing, every tab stands for itself. Who
 * comes to the front takes over: a tab behind may be put to sleep. Answers how all of it ends.
 */
export function leadAlone(keep: Keep | null, work: (signal: AbortSignal) => Promise<void>): () => void {
  const end = new AbortController();
  if (!keep) void work(end.signal);
  else if ('locks' in navigator) leadByLock(work, end.signal);
  else void leadByLease(keep, work, end.signal);
  return () => end.abort();
}

function leadByLock(work: (signal: AbortSignal) => Promise<void>, ended: AbortSignal): void {
  let leading = false;
  /** Ends the turn that is had, or waited for. */
  let turn = new AbortController();
  const lead = async (steal: boolean): Promise<void> => {
    const own = (turn = new AbortController());
    try {
      await navigator.locks.request(nameOf(here()), steal ? { steal } : { signal: own.signal }, async () => {
        leading = true;
        await work(own.signal);
      });
    } catch (error) {
      // Another tab came to the front, this one did, or the page is left.
      if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
    }
    own.abort();
    if (turn !== own) return;
    leading = false;
    if (!ended.aborted) await lead(false);
  };
  const front = () => {
    if (document.visibilityState !== 'visible' || leading || ended.aborted) return;
    turn.abort();
    void lead(true);
  };
  ended.addEventListener('abort', () => turn.abort());
  document.addEventListener('visibilitychange', front);
  ended.addEventListener('abort', () => document.removeEventListener('visibilitychange', front));
  void lead(false);
}

async function leadByLease(
  keep: Keep,
  work: (signal: AbortSignal) => Promise<void>,
  ended: AbortSignal,
): Promise<void> {
  const tab = newId();
  let turn: AbortController | null = null;
  while (!ended.aborted) {
    const mine = await keep.lease(tab, LEASE_MS).catch(() => false);
    if (mine && !turn) {
      turn = new AbortController();
      void work(turn.signal);
    } else if (!mine) {
      turn?.abort();
      turn = null;
    }
    await pause(RENEWED_MS, ended);
  }
  turn?.abort();
  await keep.lease(tab, 0).catch(() => false);
}
