import { EyePage } from '@/features/eye/EyePage';

export default EyePage;
