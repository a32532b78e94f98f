import { MakePage } from '@/features/make/MakePage';

export default MakePage;
