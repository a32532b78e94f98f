import { SheetPage } from '@/features/sheet/SheetPage';

export default function Sheet() {
  return <SheetPage />;
}
