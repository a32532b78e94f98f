import { JoinPage } from '@/chunks';

export default function Join() {
  return <JoinPage />;
}
