import { OwnerPage } from '@/chunks';

export default function Owner() {
  return <OwnerPage />;
}
