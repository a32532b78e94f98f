import { DeedsPage } from '@/chunks';

export default function Trail() {
  return <DeedsPage />;
}
