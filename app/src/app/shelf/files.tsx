import { FilesPage } from '@/chunks';

export default function Files() {
  return <FilesPage />;
}
