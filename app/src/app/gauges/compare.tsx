import { SizersComparedPage } from '@/features/holes/SizersComparedPage';

export default SizersComparedPage;
