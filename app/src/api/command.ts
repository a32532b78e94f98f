import type { RequestOf, RouteName } from '@leggero/contract';

/** The routes that write records; whose session a device has is no record. */
export type WriteName = Exclude<
  RouteName,
  'health' | 'carryOut' | `read${string}` | `list${string}` | `${string}Session` | 'setPin'
>;

/** One thing the user did, as it will be sent. It waits in the outbox until the server has it. */
export type Command = {
  [Name in WriteName]: { key: string; name: Name } & CommandParts<Name>;
}[WriteName];

type CommandParts<Name extends WriteName> = Name extends `delete${string}`
  ? { id: string }
  : Name extends 'changeStudio'
    ? { body: RequestOf<Name> }
    : Name extends `change${string}`
      ? { id: string; body: RequestOf<Name> }
      : { body: RequestOf<Name> };

/** A command before it has its place in the outbox. */
export type NewCommand = Command extends infer C ? (C extends Command ? Omit<C, 'key'> : never) : never;
