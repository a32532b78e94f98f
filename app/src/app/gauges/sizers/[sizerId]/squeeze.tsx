import { useLocalSearchParams } from 'expo-router';

import { SqueezePage } from '@/features/sizer/SqueezePage';

export default function Squeeze() {
  const { sizerId } = useLocalSearchParams<{ sizerId: string }>();
  return <SqueezePage key={sizerId} sizerId={sizerId} />;
}
