import { ComparePage } from '@/chunks';

export default function Compare() {
  return <ComparePage />;
}
