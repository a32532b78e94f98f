import { useLocalSearchParams } from 'expo-router';

import { SizerCheckPage } from '@/chunks';

export default function SizerCheck() {
  const { sizerId } = useLocalSearchParams<{ sizerId: string }>();
  return <SizerCheckPage key={sizerId} sizerId={sizerId} />;
}
