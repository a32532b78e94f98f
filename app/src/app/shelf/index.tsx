import { ShelfList } from '@/features/shelf/ShelfList';
import { useWide } from '@/ui/layout';
import { Empty } from '@/ui/States';

export default function Shelf() {
  return useWide() ? <Empty sentence="Choose a balloon to see its target." /> : <ShelfList />;
}
