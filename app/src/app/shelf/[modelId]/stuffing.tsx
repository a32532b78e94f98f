import { useLocalSearchParams } from 'expo-router';

import { StuffingPage } from '@/chunks';
import { WithModel } from '@/parts/WithModel';

export default function Stuffing() {
  const { modelId } = useLocalSearchParams<{ modelId: string }>();
  return <WithModel modelId={modelId}>{(shown) => <StuffingPage {...shown} />}</WithModel>;
}
