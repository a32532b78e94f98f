import { SearchPage } from '@/chunks';

export default function Search() {
  return <SearchPage />;
}
