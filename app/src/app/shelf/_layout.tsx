import { Slot } from 'expo-router';

import { ShelfList } from '@/features/shelf/ShelfList';
import { ListDetail } from '@/ui/ListDetail';

export default function ShelfLayout() {
  return (
    <ListDetail list={<ShelfList />}>
      <Slot />
    </ListDetail>
  );
}
