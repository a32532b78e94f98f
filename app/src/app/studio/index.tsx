import { StudioPage } from '@/features/studio/StudioPage';

export default function StudioRoute() {
  return <StudioPage />;
}
