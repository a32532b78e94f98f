import { PairPage } from '@/chunks';

export default function Pair() {
  return <PairPage />;
}
