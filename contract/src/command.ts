import { z } from 'zod';

import { idSchema } from './common';
import { changesSchema, cursorSchema } from './feed';
import { CHANGES, MAKES, NOUN_NAMES, type NOUNS, type ChangeOf, type MakeInputOf, type NounName } from './nouns';
import { problemSchema } from './problem';

/** One row put, changed or taken away. What was seen once cannot be changed. */
export type Write = {
  [N in NounName]:
    | { put: N; row: MakeInputOf<N> }
    | { remove: N; id: string }
    | ([(typeof NOUNS)[N]['change'][number]] extends [never] ? never : { change: N; id: string; by: ChangeOf<N> });
}[NounName];

/** The noun that a write is of. */
export function nounOf(write: Write | ParsedWrite): NounName {
  return 'put' in write ? write.put : 'change' in write ? write.change : write.remove;
}

/** As many commands are taken at once, each of so many writes. */
export const MOST_COMMANDS = 500;
const MOST_WRITES = 200;

/**
 * Commands as they arrive. A command is one thing the user did: its writes are carried out together or not at all, and its
 * key finds its answer. What each of them writes is looked at by itself, so that one that is wrong stops no other.
 */
export const batchSchema = z.object({
  commands: z
    .array(z.object({ key: idSchema, writes: z.array(z.unknown()).min(1).max(MOST_WRITES) }))
    .min(1)
    .max(MOST_COMMANDS, `At most ${MOST_COMMANDS} commands are taken at once`),
  /** Where the device is in the change feed, where it wants to be told at once what has changed since. */
  since: cursorSchema.min(1).optional(),
});

/** What became of each command, in their order. */
export const batchAnswerSchema = z.object({
  answers: z.array(
    z.object({
      key: idSchema,
      /** Why it was not carried out; null when it was, now or before. */
      problem: problemSchema.nullable(),
    }),
  ),
  /** What was written since, by these commands and by others. */
  changes: changesSchema.optional(),
});
export type BatchAnswer = z.infer<typeof batchAnswerSchema>;

const nounSchema = z.enum(NOUN_NAMES);
const kinds = z.union([
  z.object({ put: nounSchema, row: z.unknown() }),
  z.object({ change: nounSchema, id: idSchema, by: z.unknown() }),
  z.object({ remove: nounSchema, id: idSchema }),
]);

/** A write as it is carried out, its row or its change checked by its noun. */
export type ParsedWrite = z.infer<typeof kinds>;

/** Reads a write; the problems of its row or its change are named below `row` or `by`. */
export const writeSchema = kinds.transform((write, context): ParsedWrite => {
  const [part, schema, value] =
    'put' in write
      ? ['row', MAKES[write.put], write.row]
      : 'change' in write
        ? ['by', CHANGES[write.change], write.by]
        : [null, null, null];
  if (part === null) return write;
  const result = (schema as z.ZodType).safeParse(value);
  if (result.success) return { ...write, [part]: result.data } as ParsedWrite;
  for (const issue of result.error.issues)
    context.addIssue({ code: 'custom', path: [part, ...issue.path], message: issue.message });
  return z.NEVER;
});

/** Whether a command names a row that another one makes, changes or takes away. */
export function hangsOn(command: { writes: readonly unknown[] }, other: { writes: readonly unknown[] }): boolean {
  const text = JSON.stringify(command.writes);
  return other.writes.some((write) => {
    const { id, row } = write as { id?: unknown; row?: { id?: unknown } | null };
    const named = id ?? row?.id;
    return typeof named === 'string' && named !== '' && text.includes(named);
  });
}
