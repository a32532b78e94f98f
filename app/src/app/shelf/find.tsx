import { FindPage } from '@/features/find/FindPage';

export default function Find() {
  return <FindPage />;
}
