import { useLocalSearchParams } from 'expo-router';

import { ModelPage } from '@/features/model/ModelPage';

export default function Model() {
  const { modelId } = useLocalSearchParams<{ modelId: string }>();
  return <ModelPage key={modelId} modelId={modelId} />;
}
