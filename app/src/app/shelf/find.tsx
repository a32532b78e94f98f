import { FindPage } from '@/chunks';

export default function Find() {
  return <FindPage />;
}
