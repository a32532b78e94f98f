import { HoleFinderPage } from '@/chunks';

export default function HoleFinder() {
  return <HoleFinderPage />;
}
