import { layWrites } from '@leggero/contract';
import { notifyManager } from '@tanstack/react-query';
import { act, cleanup, render, screen } from '@testing-library/react';
import { Text } from 'react-native';

import { MANY_ROWS } from '@/data/keep';
import { createQueryClient, RecordsProvider, useModel, usePiece, usePieces, useTiers } from '@/data/records';
import { NOTHING_YET, useRecords } from '@/data/state';

import { MODEL_ID, show, someRecords } from './studio';

function Readings() {
  const model = useModel(MODEL_ID).data;
  return <Text>{`${model?.calibrations[0]?.readings.length} readings`}</Text>;
}

it('rows that come later than the others are shown once they are there, also where a device is filled anew', async () => {
  const records = someRecords();
  show(<Readings />, records);
  const { readings } = records.models[0]!.calibrations[0]!;
  await screen.findByText(`${readings.length} readings`);
  const rows = layWrites(useRecords.getState().rows, [{ remove: 'reading', id: readings[0]!.id }]);
  act(() => useRecords.setState({ rows, lacking: MANY_ROWS }));
  expect(screen.getByText(`${readings.length} readings`)).toBeTruthy();
  act(() => useRecords.setState({ lacking: [] }));
  await screen.findByText(`${readings.length - 1} readings`);
});

describe('the first rows', () => {
  function Tiers({ drawn }: { drawn: (count: number | undefined) => void }) {
    const count = useTiers().data?.length;
    drawn(count);
    return <Text>{`${count ?? 'no'} tiers`}</Text>;
  }

  // As in the app, and without what makes a test's page draw everything at once.
  const scope = globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean };
  beforeEach(() => {
    notifyManager.setScheduler(queueMicrotask);
    scope.IS_REACT_ACT_ENVIRONMENT = false;
  });
  afterEach(() => {
    notifyManager.setScheduler((notify) => setTimeout(notify, 0));
    scope.IS_REACT_ACT_ENVIRONMENT = true;
  });

  /** What a page that was opened before any row was there draws in the very task that brings them; and how many. */
  async function opened(come: number) {
    const drawn: (number | undefined)[] = [];
    show(<Tiers drawn={() => undefined} />);
    const { rows } = useRecords.getState();
    cleanup();
    useRecords.setState({ ...NOTHING_YET, unkept: 'missing' });
    render(
      <RecordsProvider client={createQueryClient()}>
        <Tiers drawn={(count) => drawn.push(count)} />
      </RecordsProvider>,
    );
    await screen.findByText('no tiers');
    await new Promise<void>((resolve) => {
      useRecords.setState({ base: rows, rows, filled: true, fresh: true, come });
      // All that is to be done in this task comes before the next tick.
      process.nextTick(resolve);
    });
    const atOnce = drawn.at(-1);
    await screen.findByText(`${rows.tier.size} tiers`);
    return { atOnce, size: rows.tier.size };
  }

  it('that the device keeps are drawn in one go', async () => {
    const { atOnce, size } = await opened(0);
    expect(atOnce).toBe(size);
  });

  it('that a device is filled with are drawn afterwards, part by part', async () => {
    const { atOnce, size } = await opened(1);
    expect([atOnce, size > 0]).toEqual([undefined, true]);
  });
});

it('a page of no piece is not drawn anew by what is being kept, and told of none that is missing', async () => {
  let drawn = 0;
  function NoPiece() {
    const { data, error } = usePiece(null);
    drawn += 1;
    return <Text>{`${usePieces().data?.length} pieces, of none ${String(data)} ${String(error)}`}</Text>;
  }
  show(<NoPiece />);
  await screen.findByText(/^\d+ pieces/);
  const before = drawn;
  act(() => useRecords.setState({ entering: 1 }));
  act(() => useRecords.setState({ entering: 0 }));
  expect(drawn).toBe(before);
  expect(screen.getByText(/pieces, of none undefined null$/)).toBeTruthy();
});
