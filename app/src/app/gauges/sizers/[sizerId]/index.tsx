import { useLocalSearchParams } from 'expo-router';

import { SizerPage } from '@/chunks';

export default function Sizer() {
  const { sizerId } = useLocalSearchParams<{ sizerId: string }>();
  return <SizerPage key={sizerId} sizerId={sizerId} />;
}
