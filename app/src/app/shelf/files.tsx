import { FilesPage } from '@/features/files/FilesPage';

export default function Files() {
  return <FilesPage />;
}
