import { ComparePage } from '@/features/compare/ComparePage';

export default function Compare() {
  return <ComparePage />;
}
