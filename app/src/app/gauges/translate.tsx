import { TranslatePage } from '@/features/gauge/TranslatePage';

export default function Translate() {
  return <TranslatePage />;
}
