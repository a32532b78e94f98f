import { ConfirmPage } from '@/chunks';

export default function Confirm() {
  return <ConfirmPage />;
}
