import { useLocalSearchParams } from 'expo-router';

import { SizerCheckPage } from '@/features/sizer/SizerCheckPage';

export default function SizerCheck() {
  const { sizerId } = useLocalSearchParams<{ sizerId: string }>();
  return <SizerCheckPage key={sizerId} sizerId={sizerId} />;
}
