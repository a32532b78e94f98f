import { hangsOn, writeSchema, type BatchAnswer, type Changes, type ParsedWrite } from '@leggero/contract';
import { z } from 'zod';

import { untilUncrossed } from '../db/again';
import type { Scope } from '../db/records';
import { HttpProblem } from '../http/problem';
import { problemOf } from '../http/errors';
import type { Viewer } from '../person/openPages';
import { changeRow, makeRow, removeRow } from './commands';
import { changesSince, changesWithin } from './feed';
import type { Asked } from './guard';
import { isFirst } from './once';
import { inWriting } from './writing';

interface Command {
  key: string;
  writes: unknown[];
}

/** Who sends commands, and where what the server itself stumbles over is told. */
interface Batching extends Scope {
  viewer: Viewer;
  log: (error: unknown) => void;
}

const writesSchema = z.object({ writes: z.array(writeSchema) });

/**
 * Carries out commands one after another, each in a transaction of its own, and tells what became of each, and what was
 * written since a place where one is given. One that cannot be carried out changes nothing and stops no other, but for
 * those that name its rows. Throws only while the records cannot be written at all: then nothing is lost by sending all
 * of it again.
 */
export async function carryOut(
  asked: Batching,
  { commands, since }: { commands: readonly Command[]; since?: string | undefined },
): Promise<BatchAnswer> {
  const answers: BatchAnswer['answers'] = [];
  const left: Command[] = [];
  let changes: Changes | null = null;
  for (const [i, command] of commands.entries()) {
    const waits = left.some((other) => hangsOn(command, other));
    // What was written is read by the last of them, which has just been the only one to write: a tap asks but once.
    const read = since !== undefined && i === commands.length - 1;
    const last = read ? async (within: Scope) => void (changes = await changesWithin(within, { since })) : undefined;
    const problem = waits ? HttpProblem.dependent() : await problemWith(asked, command, last);
    if (problem && AWAY.has(problem.status)) throw problem;
    if (problem) {
      left.push(command);
      changes = null;
    }
    answers.push({ key: command.key, problem: problem?.document() ?? null });
  }
  return since === undefined ? { answers } : { answers, changes: changes ?? (await changesSince(asked, { since })) };
}

/** The records are away, or their disk is full: it will be tried again. */
const AWAY = new Set([503, 507]);

async function problemWith(
  asked: Batching,
  { key, writes: unread }: Command,
  last?: (within: Scope) => Promise<void>,
): Promise<HttpProblem | null> {
  const parsed = writesSchema.safeParse({ writes: unread });
  if (!parsed.success) return HttpProblem.invalid(parsed.error);
  try {
    await untilUncrossed(() =>
      inWriting(
        asked,
        async (writing) => {
          if (!(await isFirst(writing, key))) return;
          for (const write of parsed.data.writes) await carryOutWrite(writing, write);
        },
        last,
      ),
    );
    return null;
  } catch (error) {
    const problem = problemOf(error);
    if (problem.status === 500) asked.log(error);
    return problem;
  }
}

async function carryOutWrite(asked: Asked, write: ParsedWrite): Promise<void> {
  if ('put' in write) await makeRow(asked, write.put, write.row as never);
  else if ('change' in write) await changeRow(asked, write.change, write.id, write.by as never);
  else await removeRow(asked, write.remove, write.id);
}
