import { BubblePage } from '@/chunks';

export default function Bubble() {
  return <BubblePage />;
}
