import { useLocalSearchParams } from 'expo-router';

import { FinishPage } from '@/chunks';
import { WithModel } from '@/parts/WithModel';

export default function Finish() {
  const { modelId } = useLocalSearchParams<{ modelId: string }>();
  return <WithModel modelId={modelId}>{(shown) => <FinishPage {...shown} />}</WithModel>;
}
