import {
  APP_ROUTES,
  hangsOn,
  MOST_COMMANDS,
  type BatchAnswer,
  type Changes,
  type ProblemDocument,
} from '@leggero/contract';

import { painted } from '@/device/painted';
import { pause } from '@/device/pause';
import type { Entry } from '@/views/entries';

import { ApiError, call, isLater, readChanges } from './client';
import { follow } from './follow';
import { enter, kept, openReplica, stand, take, tell } from './replica';
import { useRecords } from './state';
import { leadAlone, listenToTabs } from './tabs';

const FIRST_PAUSE_MS = 500;
const LONGEST_PAUSE_MS = 5000;
/** Over which the server has stumbled so often steps aside, and lets what does not hang on it pass. */
const MOST_STUMBLES = 3;
/** A request is well below what the server takes. */
const MOST_BYTES = 500_000;
/** Where versions long before this one kept what waits: its code comes where there is any. */
const OLD_OUTBOX = 'leggero-outbox';

/** Wakes whoever delivers in this tab. */
let wake = (): void => {};
let pullWanted = true;
/** The newest revision that the server told of. */
let heard = 0;

/** Asks for what is new as soon as can be: after something was written past the outbox. */
export function pullSoon(): void {
  pullWanted = true;
  wake();
  tell({ kind: 'pull' });
}

/**
 * Sends what waits and follows what others write, for as long as the app is open; one tab of a device does. Answers a
 * function that stops it.
 */
export function deliver(): () => void {
  let stopped = false;
  let endLead = (): void => {};
  const start = () => {
    if (stopped) return;
    endLead = leadAlone(kept(), lead);
    // Where another tab delivers, it tells this one how things are.
    tell({ kind: 'pull' });
  };
  void openReplica().then(start);
  const endListening = listenToTabs((message) => {
    if (message.kind === 'pull') pullWanted = true;
    wake();
  });
  return () => {
    stopped = true;
    endListening();
    endLead();
  };
}

/** Delivers until the signal ends. */
async function lead(signal: AbortSignal): Promise<void> {
  const courier = new Courier(signal);
  /** Ends with the next thing that is worth a turn. */
  let nap = new AbortController();
  wake = () => nap.abort();
  pullWanted = true;
  const endFollowing = follow((revision) => {
    if (revision === null) pullWanted = true;
    else heard = revision;
    wake();
  });
  // Sending comes after what was entered is seen: it costs the time of half a frame.
  let seen: Promise<void> = Promise.resolve();
  const endWatching = useRecords.subscribe((state, before) => {
    if (state.waiting === before.waiting) return;
    seen = painted();
    void seen.then(wake);
  });
  let patience = FIRST_PAUSE_MS;
  while (!signal.aborted) {
    nap = new AbortController();
    await seen;
    if (signal.aborted) break;
    const outcome = await courier.turn();
    if (signal.aborted) break;
    if (outcome === 'failed') {
      // A new entry, a word of the server, or a network that is back is worth a try before the time is up.
      nap = new AbortController();
      await pause(patience, signal, nap.signal);
      patience = Math.min(LONGEST_PAUSE_MS, patience * 2);
    } else {
      patience = FIRST_PAUSE_MS;
      if (outcome === 'idle') await pause(HOUR_MS, signal, nap.signal);
    }
  }
  endWatching();
  endFollowing();
}

const HOUR_MS = 3_600_000;

/** Takes what waits to the server, and brings what is new. */
class Courier {
  /** How often the server stumbled over each entry, by key. */
  private readonly stumbles = new Map<string, number>();
  /** So many are sent at once; fewer once a request of many did not come through. */
  private size = MOST_COMMANDS;
  private carriedOver = false;

  constructor(private readonly signal: AbortSignal) {}

  /** One request, where there is anything to ask. */
  async turn(): Promise<'done' | 'failed' | 'idle'> {
    const { next, aside } = this.sorted();
    stand({ aside: aside.length });
    try {
      const { filled, fresh, revision } = useRecords.getState();
      // Listening comes first: at this address may be another studio than the one that the entries are for.
      if (next.length > 0 && filled && fresh) return await this.send(next);
      // What an answer on its way tells already need not be asked for.
      if (pullWanted || !fresh || !filled || heard > revision) return await this.pull();
      // All else is done: what stands aside is tried again, the oldest first.
      if (aside[0]) return (await this.send(aside.slice(0, 1))) === 'done' && this.stands(aside[0]) ? 'failed' : 'done';
      return 'idle';
    } catch (error) {
      if (this.signal.aborted) return 'idle';
      // Whatever it is, what waits must go on waiting, and be tried again.
      if (error instanceof ApiError) this.failed(error, next);
      else if (typeof reportError === 'function') reportError(error);
      return 'failed';
    }
  }

  private stands({ key }: Entry): boolean {
    return useRecords.getState().waiting.some((entry) => entry.key === key);
  }

  /** What is sent next, and what stands aside. */
  private sorted(): { next: Entry[]; aside: Entry[] } {
    const aside: Entry[] = [];
    const next: Entry[] = [];
    let bytes = 0;
    for (const entry of useRecords.getState().waiting) {
      const stumbled = (this.stumbles.get(entry.key) ?? 0) >= MOST_STUMBLES;
      if (stumbled || aside.some((other) => hangsOn(entry, other))) aside.push(entry);
      else if (next.length < this.size) {
        bytes += JSON.stringify(entry.writes).length;
        if (next.length > 0 && bytes > MOST_BYTES) break;
        next.push(entry);
      }
    }
    return { next, aside };
  }

  private async pull(): Promise<'done'> {
    pullWanted = false;
    const { cursor } = useRecords.getState();
    const changes = await readChanges(cursor, this.signal).catch((error: unknown) => {
      pullWanted = true;
      throw error;
    });
    if (changes.more) pullWanted = true;
    await take({ changes });
    stand({ struggling: false });
    useRecords.setState({ error: null });
    if (useRecords.getState().filled && !this.carriedOver) {
      this.carriedOver = true;
      const old = localStorage.getItem(OLD_OUTBOX);
      if (old !== null) {
        const { carriedOver } = await import('./carryOver');
        await enter(carriedOver(old, useRecords.getState().rows));
      }
      // Killed in between, they are sent twice: the second time changes nothing.
      localStorage.removeItem(OLD_OUTBOX);
    }
    return 'done';
  }

  private async send(entries: readonly Entry[]): Promise<'done'> {
    const { cursor } = useRecords.getState();
    const { answers, changes } = await call(APP_ROUTES.carryOut, {
      body: {
        commands: entries.map(({ key, writes }) => ({ key, writes: [...writes] })),
        since: cursor,
      },
      signal: this.signal,
    });
    if (changes?.more) pullWanted = true;
    await take({ changes: changes as Changes | undefined, ...this.outcome(entries, answers) });
    this.size = Math.min(MOST_COMMANDS, this.size * 2);
    stand({ stuck: false, struggling: false });
    useRecords.setState({ error: null });
    return 'done';
  }

  /** What became of each entry. What hangs on one that was not taken stays with it, whatever it was told. */
  private outcome(entries: readonly Entry[], answers: BatchAnswer['answers']): { done: Entry[]; changed: Entry[] } {
    const problems = new Map(answers.map(({ key, problem }) => [key, problem]));
    const [done, changed, left]: [Entry[], Entry[], Entry[]] = [[], [], []];
    for (const entry of entries) {
      const problem = problems.get(entry.key);
      // Of one without an answer nothing is known: it is sent again.
      if (problem === undefined) left.push(entry);
      else if (problem === null) {
        this.stumbles.delete(entry.key);
        done.push(entry);
      } else if (left.some((other) => hangsOn(entry, other))) left.push(entry);
      else if (isLater(problem.status)) {
        this.stumbles.set(entry.key, (this.stumbles.get(entry.key) ?? 0) + 1);
        left.push(entry);
      } else changed.push({ ...entry, problem });
    }
    return { done, changed };
  }

  private failed(error: ApiError, sent: readonly Entry[]): void {
    if (sent.length === 0) {
      stand({ struggling: true });
      useRecords.setState({ error: error.passing ? null : error });
      return;
    }
    // A request of many may fail for one of them: fewer go together until that one stands alone.
    if (error.stumbled || !error.passing) this.size = Math.max(1, Math.floor(Math.min(this.size, sent.length) / 2));
    const [only] = sent;
    if (only && sent.length === 1) {
      if (error.stumbled) this.stumbles.set(only.key, (this.stumbles.get(only.key) ?? 0) + 1);
      if (!error.passing) void take({ changed: [{ ...only, problem: error.problem as ProblemDocument }] });
    }
    stand({ stuck: true, struggling: true });
  }
}
