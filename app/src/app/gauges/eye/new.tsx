import { EyeStartPage } from '@/features/eye/EyeStartPage';

export default EyeStartPage;
