import { layWrites, type Write } from '@leggero/contract';
import { act, screen } from '@testing-library/react';
import { useState } from 'react';
import { Text } from 'react-native';

import { useAtOnce } from '@/data/atOnce';
import { useTiers } from '@/data/records';
import { useRecords } from '@/data/state';
import { painted } from '@/device/painted';

import { show, someRecords } from './studio';

jest.mock('@/device/painted', () => ({ painted: jest.fn() }));

/** The frames that are waited for: each is painted by calling it. */
let frames: (() => void)[];
beforeEach(() => {
  frames = [];
  jest.mocked(painted).mockImplementation(() => new Promise((resolve) => frames.push(resolve)));
});

const paint = () =>
  act(async () => {
    for (const frame of frames.splice(0)) frame();
    await Promise.resolve();
  });

function Quick() {
  return <Text>{`${useAtOnce(({ tier }) => tier.size)} at once`}</Text>;
}

function Page({ quick }: { quick: boolean }) {
  const [shown, setShown] = useState(quick);
  return (
    <>
      {shown ? <Quick /> : null}
      <Text>{`${useTiers().data?.length} in all`}</Text>
      <Text onPress={() => setShown(false)}>Leave</Text>
    </>
  );
}

/** A page that counts tiers; answers their ids. */
async function open(quick: boolean) {
  show(<Page quick={quick} />, someRecords());
  await screen.findByText(/^\d+ in all/);
  return [...useRecords.getState().rows.tier.keys()];
}

const pause = (ms: number) => act(() => new Promise<void>((resolve) => setTimeout(resolve, ms)));

const lay = (...writes: Write[]) => act(() => useRecords.setState(({ rows }) => ({ rows: layWrites(rows, writes) })));

describe('what a hand waits for', () => {
  it('is shown at once, and all else after the frame that shows it', async () => {
    const ids = await open(true);
    lay({ remove: 'tier', id: ids[0]! });
    expect(screen.getByText(`${ids.length - 1} at once`)).toBeTruthy();
    await pause(20);
    expect(screen.getByText(`${ids.length} in all`)).toBeTruthy();
    await paint();
    await screen.findByText(`${ids.length - 1} in all`);
  });

  it('has the rest follow once, up to the last of what came before the frame', async () => {
    const ids = await open(true);
    expect(ids.length).toBeGreaterThan(1);
    for (const id of ids) lay({ remove: 'tier', id });
    expect(frames).toHaveLength(1);
    expect(screen.getByText('0 at once')).toBeTruthy();
    await paint();
    await screen.findByText('0 in all');
  });

  it('waits for no frame where no row changed', async () => {
    await open(true);
    act(() => useRecords.setState({ entering: 1 }));
    expect(frames).toHaveLength(0);
  });

  it('makes nothing wait where it is not on the page', async () => {
    const ids = await open(false);
    lay({ remove: 'tier', id: ids[0]! });
    await screen.findByText(`${ids.length - 1} in all`);
    expect(frames).toHaveLength(0);
  });

  it('makes nothing wait once it has left', async () => {
    const ids = await open(true);
    act(() => screen.getByText('Leave').click());
    lay({ remove: 'tier', id: ids[0]! });
    await screen.findByText(`${ids.length - 1} in all`);
    expect(frames).toHaveLength(0);
  });
});
