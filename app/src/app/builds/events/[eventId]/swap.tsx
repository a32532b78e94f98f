import { useLocalSearchParams } from 'expo-router';

import { SwapPage } from '@/chunks';

export default function Swap() {
  const { eventId } = useLocalSearchParams<{ eventId: string }>();
  return <SwapPage eventId={eventId} />;
}
