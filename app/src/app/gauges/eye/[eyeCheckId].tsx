import { useLocalSearchParams } from 'expo-router';

import { EyeRunPage } from '@/chunks';

export default function EyeCheck() {
  const { eyeCheckId } = useLocalSearchParams<{ eyeCheckId: string }>();
  return <EyeRunPage key={eyeCheckId} eyeCheckId={eyeCheckId} />;
}
