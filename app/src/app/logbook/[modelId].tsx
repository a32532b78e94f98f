import { useLocalSearchParams } from 'expo-router';

import { BalloonLogPage } from '@/chunks';

export default function BalloonLog() {
  const { modelId } = useLocalSearchParams<{ modelId: string }>();
  return <BalloonLogPage modelId={modelId} />;
}
