export { NewPiecePage } from '@/features/builds/NewPiecePage';
export { PiecePage } from '@/features/linking/PiecePage';
