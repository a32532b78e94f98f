import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

import { ApiError, call } from './client';
import type { Command, NewCommand } from './command';
import { newId } from './id';

interface OutboxState {
  /** What the server does not have yet, oldest first. */
  waiting: Command[];
  /** The last attempt did not reach the records. */
  stuck: boolean;
  /** So many of what waits could not be saved again and again, or hang on what could not. */
  aside: number;
  /** What the server would not take, to be shown. */
  refused: { command: Command; title: string } | null;
  add(command: NewCommand): void;
  dismiss(): void;
}

/**
 * What the user did and the server has not confirmed. Kept on the device, so that a reload or a flat battery loses
 * nothing.
 */
export const useOutbox = create<OutboxState>()(
  persist(
    (set) => ({
      waiting: [],
      stuck: false,
      aside: 0,
      refused: null,
      add: (command) => set(({ waiting }) => ({ waiting: [...waiting, { ...command, key: newId() } as Command] })),
      dismiss: () => set({ refused: null }),
    }),
    {
      name: 'leggero-outbox',
      storage: createJSONStorage(() => localStorage),
      partialize: ({ waiting }) => ({ waiting }),
    },
  ),
);

const FIRST_PAUSE_MS = 500;
const LONGEST_PAUSE_MS = 5000;
/** Over which the server has stumbled so often steps aside, and lets what does not hang on it pass. */
const MOST_STUMBLES = 3;

interface DeliverOptions {
  /** Called with each command the server has taken, before it leaves the outbox. */
  onTaken: (command: Command) => void;
  /** Called with each command the server refused for good. */
  onRefused: (command: Command) => void;
}

/**
 * Sends what waits, in order, one at a time, for as long as the app is open. What the server stumbles over steps aside,
 * and is tried again when nothing else is left. Answers a function that stops it.
 */
export function deliver({ onTaken, onRefused }: DeliverOptions): () => void {
  let stopped = false;
  let sending = false;
  let pause = FIRST_PAUSE_MS;
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** How often the server stumbled over each, by key. */
  const stumbles = new Map<string, number>();

  async function sendAll(): Promise<void> {
    if (sending) return;
    sending = true;
    try {
      while (!stopped) {
        const { next, aside } = sorted(stumbles);
        if (useOutbox.getState().aside !== aside) useOutbox.setState({ aside });
        if (!next) return;
        await send(next);
      }
    } finally {
      sending = false;
    }
  }

  async function send(command: Command): Promise<void> {
    try {
      await call(command.name, {
        id: 'id' in command ? command.id : undefined,
        body: 'body' in command ? command.body : undefined,
      });
      pause = FIRST_PAUSE_MS;
      stumbles.delete(command.key);
      onTaken(command);
      useOutbox.setState(({ waiting }) => ({ waiting: without(waiting, command), stuck: false }));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      if (error.passing) {
        if (error.stumbled) stumbles.set(command.key, (stumbles.get(command.key) ?? 0) + 1);
        useOutbox.setState({ stuck: true });
        await new Promise((resolve) => {
          timer = setTimeout(resolve, pause);
        });
        pause = Math.min(LONGEST_PAUSE_MS, pause * 2);
        return;
      }
      useOutbox.setState(({ waiting }) => ({
        waiting: without(waiting, command),
        stuck: false,
        refused: { command, title: error.message },
      }));
      onRefused(command);
    }
  }

  const unsubscribe = useOutbox.subscribe(({ waiting }) => {
    if (waiting.length > 0) void sendAll();
  });
  void sendAll();
  return () => {
    stopped = true;
    clearTimeout(timer);
    unsubscribe();
  };
}

/** What is sent next, and how many stand aside; when all of them do, the oldest is tried again. */
function sorted(stumbles: ReadonlyMap<string, number>): { next: Command | undefined; aside: number } {
  const { waiting } = useOutbox.getState();
  const aside: Command[] = [];
  let next: Command | undefined;
  for (const command of waiting) {
    const stands = (stumbles.get(command.key) ?? 0) >= MOST_STUMBLES || aside.some((other) => hangsOn(command, other));
    if (stands) aside.push(command);
    else next ??= command;
  }
  return { next: next ?? waiting[0], aside: aside.length };
}

/** Whether a command concerns the row that another one makes, changes or takes away. */
function hangsOn(command: Command, other: Command): boolean {
  const id = 'id' in other ? other.id : 'id' in other.body ? String(other.body.id) : null;
  return id !== null && JSON.stringify(command).includes(id);
}

function without(waiting: readonly Command[], { key }: Command): Command[] {
  return waiting.filter((command) => command.key !== key);
}
