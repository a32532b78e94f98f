export { BubblePage } from '@/features/bubble/BubblePage';
export { FoilPage } from '@/features/foil/FoilPage';
export { OrbPage } from '@/features/bubble/OrbPage';
export { PairPage } from '@/features/stuffing/PairPage';
export { StuffingPage } from '@/features/stuffing/StuffingPage';
