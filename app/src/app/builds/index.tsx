import { BuildList } from '@/chunks';
import { useWide } from '@/ui/layout';
import { Empty } from '@/ui/States';

export default function Builds() {
  return useWide() ? <Empty sentence="Choose a piece to see it, or draw up a new one." /> : <BuildList />;
}
