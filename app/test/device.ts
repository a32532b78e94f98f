import { deserialize, serialize } from 'node:v8';
import { BroadcastChannel } from 'node:worker_threads';

import { IDBFactory } from 'fake-indexeddb';
import 'fake-indexeddb/auto';

const channels: BroadcastChannel[] = [];

/** What the test page lacks of a browser's storage and channels. */
Object.assign(globalThis, {
  structuredClone: (value: unknown) => deserialize(serialize(value)) as unknown,
  BroadcastChannel: class extends BroadcastChannel {
    constructor(name: string) {
      super(name);
      channels.push(this);
    }
  },
});

/** A device with nothing on its disk. */
export function newDevice(): void {
  globalThis.indexedDB = new IDBFactory();
  localStorage.clear();
}

type UseRecords = (typeof import('@/data/state'))['useRecords'];

/** The data layer of one tab, by itself: what it shares with others is the disk and the channel between them. */
export interface Tab {
  state: () => ReturnType<UseRecords['getState']>;
  follow: UseRecords['subscribe'];
  write: (typeof import('@/data/outbox'))['write'];
  pullSoon: (typeof import('@/data/delivery'))['pullSoon'];
  /** Gone from one moment to the next: nothing more is sent, read or kept. */
  kill: () => void;
}

const open: (() => void)[] = [];

/** Opens the app in a tab. */
export function openTab({ delivering = true } = {}): Tab {
  let tab: Tab | undefined;
  jest.isolateModules(() => {
    /* eslint-disable @typescript-eslint/no-require-imports */
    const { useRecords } = require('@/data/state') as typeof import('@/data/state');
    const { write } = require('@/data/outbox') as typeof import('@/data/outbox');
    const { deliver, pullSoon } = require('@/data/delivery') as typeof import('@/data/delivery');
    const { openReplica } = require('@/data/replica') as typeof import('@/data/replica');
    /* eslint-enable @typescript-eslint/no-require-imports */
    const stop = delivering ? deliver() : () => undefined;
    if (!delivering) void openReplica();
    tab = { state: () => useRecords.getState(), follow: useRecords.subscribe, write, pullSoon, kill: stop };
    open.push(stop);
  });
  return tab!;
}

/** Closes every tab that was opened. */
export async function closeTabs(): Promise<void> {
  for (const close of open.splice(0)) close();
  for (const channel of channels.splice(0)) channel.close();
  // What they were at comes to its end.
  await new Promise((resolve) => setTimeout(resolve, 20));
}
