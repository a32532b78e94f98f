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

interface DeliverOptions {
  /** Called with each command the server has taken, before it leaves the outbox. */
  onTaken: (command: Command) => void;
  /** Called with each command the server refused for good. */
  onRefused: (command: Command) => void;
}

/** Sends what waits, in order, one at a time, for as long as the app is open. Answers a function that stops it. */
export function deliver({ onTaken, onRefused }: DeliverOptions): () => void {
  let stopped = false;
  let sending = false;
  let pause = FIRST_PAUSE_MS;
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function sendAll(): Promise<void> {
    if (sending) return;
    sending = true;
    try {
      for (let next = head(); next && !stopped; next = head()) await send(next);
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
      onTaken(command);
      useOutbox.setState(({ waiting }) => ({ waiting: without(waiting, command), stuck: false }));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      if (error.passing) {
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

function head(): Command | undefined {
  return useOutbox.getState().waiting[0];
}

function without(waiting: readonly Command[], { key }: Command): Command[] {
  return waiting.filter((command) => command.key !== key);
}
