import { useLocalSearchParams } from 'expo-router';

import { EventPage } from '@/chunks';

export default function Event() {
  const { eventId } = useLocalSearchParams<{ eventId: string }>();
  return <EventPage eventId={eventId} />;
}
