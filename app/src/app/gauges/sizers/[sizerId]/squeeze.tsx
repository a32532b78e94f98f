import { useLocalSearchParams } from 'expo-router';

import { SqueezePage } from '@/chunks';

export default function Squeeze() {
  const { sizerId } = useLocalSearchParams<{ sizerId: string }>();
  return <SqueezePage key={sizerId} sizerId={sizerId} />;
}
