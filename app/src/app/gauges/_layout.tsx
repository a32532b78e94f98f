import { Slot } from 'expo-router';

import { GaugeList } from '@/features/gauge/GaugeList';
import { ListDetail } from '@/ui/ListDetail';

export default function GaugesLayout() {
  return (
    <ListDetail list={<GaugeList />}>
      <Slot />
    </ListDetail>
  );
}
