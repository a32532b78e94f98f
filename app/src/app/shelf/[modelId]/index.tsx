import { useLocalSearchParams } from 'expo-router';

import { ShelfItem } from '@/features/shelf/ShelfItem';

export default function Model() {
  const { modelId } = useLocalSearchParams<{ modelId: string }>();
  return <ShelfItem key={modelId} modelId={modelId} />;
}
