import { useLocalSearchParams } from 'expo-router';

import { SizerPage } from '@/features/sizer/SizerPage';

export default function Sizer() {
  const { sizerId } = useLocalSearchParams<{ sizerId: string }>();
  return <SizerPage key={sizerId} sizerId={sizerId} />;
}
