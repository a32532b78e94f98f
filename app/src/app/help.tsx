import { HelpPage } from '@/chunks';

export default function Help() {
  return <HelpPage />;
}
