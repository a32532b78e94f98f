import { useLocalSearchParams } from 'expo-router';

import { WithModel } from '@/parts/WithModel';
import { ReadingPage } from '@/chunks';

export default function AddReading() {
  const { modelId } = useLocalSearchParams<{ modelId: string }>();
  return <WithModel modelId={modelId}>{(shown) => <ReadingPage {...shown} />}</WithModel>;
}
