import { TranslatePage } from '@/chunks';

export default function Translate() {
  return <TranslatePage />;
}
