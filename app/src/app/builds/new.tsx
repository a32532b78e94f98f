import { NewPiecePage } from '@/features/builds/NewPiecePage';

export default NewPiecePage;
