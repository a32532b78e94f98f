import { useLocalSearchParams } from 'expo-router';

import { StockPage } from '@/chunks';

export default function Stock() {
  const { modelId } = useLocalSearchParams<{ modelId: string }>();
  return <StockPage modelId={modelId} />;
}
