import { useLocalSearchParams } from 'expo-router';

import { CheckPage } from '@/chunks';
import { WithModel } from '@/parts/WithModel';

export default function Check() {
  const { modelId, checkId } = useLocalSearchParams<{ modelId: string; checkId: string }>();
  return <WithModel modelId={modelId}>{(shown) => <CheckPage {...shown} checkId={checkId} />}</WithModel>;
}
