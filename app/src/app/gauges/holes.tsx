import { HoleFinderPage } from '@/features/holes/HoleFinderPage';

export default HoleFinderPage;
