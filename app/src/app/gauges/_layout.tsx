import { Slot } from 'expo-router';

import { GaugeList } from '@/chunks';
import { ListDetail } from '@/ui/ListDetail';

export default function GaugesLayout() {
  return (
    <ListDetail list={<GaugeList />}>
      <Slot />
    </ListDetail>
  );
}
