import { SizersComparedPage } from '@/chunks';

export default function SizersCompared() {
  return <SizersComparedPage />;
}
