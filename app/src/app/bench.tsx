import { BenchPage } from '@/features/bench/BenchPage';

export default function Bench() {
  return <BenchPage />;
}
