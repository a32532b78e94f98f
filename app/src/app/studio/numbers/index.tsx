import { NumbersPage } from '@/chunks';

export default function NumbersRoute() {
  return <NumbersPage constant={null} />;
}
