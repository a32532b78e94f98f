export { NumbersPage } from '@/features/numbers/NumbersPage';
