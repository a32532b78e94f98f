import { useLocalSearchParams } from 'expo-router';

import { ModelForm } from '@/chunks';
import { WithModel } from '@/parts/WithModel';

export default function EditModel() {
  const { modelId } = useLocalSearchParams<{ modelId: string }>();
  return <WithModel modelId={modelId}>{({ model }) => <ModelForm model={model} />}</WithModel>;
}
