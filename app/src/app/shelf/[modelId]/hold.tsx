import { useLocalSearchParams } from 'expo-router';

import { HoldPage } from '@/chunks';
import { WithModel } from '@/parts/WithModel';

export default function Hold() {
  const { modelId } = useLocalSearchParams<{ modelId: string }>();
  return <WithModel modelId={modelId}>{(shown) => <HoldPage {...shown} />}</WithModel>;
}
