import { useLocalSearchParams } from 'expo-router';

import { MorningPage } from '@/chunks';

export default function Morning() {
  const { eventId } = useLocalSearchParams<{ eventId: string }>();
  return <MorningPage eventId={eventId} />;
}
