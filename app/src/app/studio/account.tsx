import { AccountPage } from '@/chunks';

export default function Account() {
  return <AccountPage />;
}
