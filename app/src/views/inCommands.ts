/** Writes of one command, where many are parted: fewer than the server takes at once. */
const MOST_WRITES = 150;

/** Many writes as commands of a size that the server takes, in their order; each arrives whole or not at all. */
export function inCommands<W>(writes: readonly W[]): W[][] {
  const commands: W[][] = [];
  for (let i = 0; i < writes.length; i += MOST_WRITES) commands.push(writes.slice(i, i + MOST_WRITES));
  return commands;
}
