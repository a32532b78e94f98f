import { layWrites } from '@leggero/contract';
import { act, screen } from '@testing-library/react';
import { Text } from 'react-native';

import { useModel } from '@/data/records';
import { useRecords } from '@/data/state';
import { MANY_ROWS } from '@/data/keep';

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
