import { BubblePage } from '@/features/bubble/BubblePage';

export default BubblePage;
