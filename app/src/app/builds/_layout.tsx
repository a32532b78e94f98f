import { Slot } from 'expo-router';

import { BuildList } from '@/features/builds/BuildList';
import { ListDetail } from '@/ui/ListDetail';

export default function BuildsLayout() {
  return (
    <ListDetail list={<BuildList />}>
      <Slot />
    </ListDetail>
  );
}
