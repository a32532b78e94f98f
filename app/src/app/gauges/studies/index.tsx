import { StudiesPage } from '@/features/study/StudiesPage';

export default StudiesPage;
