import { BackupsPage } from '@/chunks';

export default function Backups() {
  return <BackupsPage />;
}
