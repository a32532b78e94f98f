import { StudiesPage } from '@/chunks';

export default function Studies() {
  return <StudiesPage />;
}
