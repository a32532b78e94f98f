import { hangsOn, type ParsedWrite, type ProblemDocument } from '@leggero/contract';

/** One thing the user did, as it will be sent: its writes arrive together or not at all. */
export interface Command {
  key: string;
  writes: readonly ParsedWrite[];
}

/** A command that waits on this device, and where it stands: in the order of its numbers. */
export interface Entry extends Command {
  /** Its number in what the device keeps; none where the device keeps nothing. */
  seq?: number;
  /** Why the server would not take it; null while it waits. */
  problem: ProblemDocument | null;
}

/** What was refused, with what hangs on it: those that came after and name its rows. */
export interface Refusal {
  entry: Entry;
  hanging: Entry[];
}

/** Refused entries, oldest first; one that hangs on another stands beneath it. */
export function refusalsOf(refused: readonly Entry[]): Refusal[] {
  const refusals: Refusal[] = [];
  for (const entry of refused) {
    const above = refusals.find((other) => [other.entry, ...other.hanging].some((each) => hangsOn(entry, each)));
    if (above) above.hanging.push(entry);
    else refusals.push({ entry, hanging: [] });
  }
  return refusals;
}

/** A value that was not taken, where it stands in its entry, and why. */
export interface Fault {
  write: number;
  field: string;
  value: string | number;
  message: string;
}

const contentOf = (write: ParsedWrite) =>
  ('put' in write ? write.row : 'change' in write ? write.by : {}) as Record<string, unknown>;

/** What of an entry can be put right by typing: the values that were found fault with. */
export function faultsOf({ writes, problem }: Entry): Fault[] {
  return (problem?.fields ?? []).flatMap(({ path, message }): Fault[] => {
    const [, at, inner] = /^writes\.(\d+)\.(?:row|by)\.(\w+)$/.exec(path) ?? [];
    const field = inner ?? path;
    const write = at === undefined ? writes.findIndex((each) => field in contentOf(each)) : Number(at);
    const value = writes[write] && contentOf(writes[write])[field];
    return typeof value === 'number' || (typeof value === 'string' && !field.endsWith('Id'))
      ? [{ write, field, value, message }]
      : [];
  });
}

/** An entry with a value put right. */
export function withValue<E extends Pick<Entry, 'writes'>>(
  entry: E,
  { write: at, field }: Pick<Fault, 'write' | 'field'>,
  value: string | number,
): E {
  const writes = entry.writes.map((write, i) => {
    if (i !== at) return write;
    if ('put' in write) return { ...write, row: { ...(write.row as object), [field]: value } };
    return 'change' in write ? { ...write, by: { ...(write.by as object), [field]: value } } : write;
  });
  return { ...entry, writes };
}
