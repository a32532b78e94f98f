import { SheetPage } from '@/chunks';

export default function Sheet() {
  return <SheetPage />;
}
