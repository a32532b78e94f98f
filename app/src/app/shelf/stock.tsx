import { StockListPage } from '@/chunks';

export default function StockList() {
  return <StockListPage />;
}
