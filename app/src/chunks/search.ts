export { SearchPage } from '@/features/search/SearchPage';
