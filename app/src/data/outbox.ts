import { layWrites, nounOf, writeSchema, type ProblemDocument, type Write } from '@leggero/contract';

import { newId } from '@/device/id';
import type { Entry, Refusal } from '@/views/entries';

import { may, useBarred } from './access';
import { enter, take, withdraw } from './replica';
import { useRecords } from './state';

/**
 * Does something: one command, kept and shown at once, and sent as soon as it can be. What is wrong in itself is among
 * what was refused. What whoever is at this device may not do is told, and not done: pages may be tried out by all.
 * Resolves once it is kept.
 */
export function write(...writes: readonly Write[]): Promise<void> {
  const barred = writes.map(nounOf).find((noun) => !may(noun));
  if (barred === undefined) return enter([entryOf(writes)]);
  useBarred.setState({ noun: barred });
  return Promise.resolve();
}

/**
 * Goes through what `write` would do, and does nothing: what it looks through once is looked through, and its code is
 * there, before a hand waits for it. For a moment with nothing else to do.
 */
export function rehearse(...writes: readonly Write[]): void {
  const { problem, writes: checked } = entryOf(writes);
  if (problem === null) layWrites(useRecords.getState().rows, checked);
}

function entryOf(writes: readonly Write[]): Entry {
  const key = newId();
  const parsed = writes.map((each) => writeSchema.safeParse(each));
  const issues = parsed.flatMap(({ error }, at) =>
    (error?.issues ?? []).map(({ path, message }) => ({ path: ['writes', at, ...path].join('.'), message })),
  );
  if (issues.length === 0) return { key, writes: parsed.map(({ data }) => data!), problem: null };
  const problem: ProblemDocument = {
    type: 'about:blank',
    title: issues[0]!.message,
    status: 400,
    fields: issues,
  };
  return { key, writes: writes as Entry['writes'], problem };
}

/** Sends what was refused once more, with what hangs on it; changed where someone put it right. */
export function sendAgain({ entry, hanging }: Refusal): Promise<void> {
  return take({ changed: [entry, ...hanging].map((each) => ({ ...each, problem: null })) });
}

/** Gives up what was refused, and what hangs on it. */
export function drop({ entry, hanging }: Refusal): Promise<void> {
  return withdraw([entry, ...hanging]);
}
