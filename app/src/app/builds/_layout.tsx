import { Slot } from 'expo-router';

import { BuildList } from '@/chunks';
import { ListDetail } from '@/ui/ListDetail';

export default function BuildsLayout() {
  return (
    <ListDetail list={<BuildList />}>
      <Slot />
    </ListDetail>
  );
}
