import { EyePage } from '@/chunks';

export default function Eye() {
  return <EyePage />;
}
