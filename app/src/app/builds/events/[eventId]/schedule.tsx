import { useLocalSearchParams } from 'expo-router';

import { SchedulePage } from '@/chunks';

export default function Schedule() {
  const { eventId } = useLocalSearchParams<{ eventId: string }>();
  return <SchedulePage eventId={eventId} />;
}
