import { OrbPage } from '@/features/bubble/OrbPage';

export default OrbPage;
