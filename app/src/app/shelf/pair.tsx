import { PairPage } from '@/features/stuffing/PairPage';

export default PairPage;
