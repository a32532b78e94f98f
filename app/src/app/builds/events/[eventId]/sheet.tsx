import { useLocalSearchParams } from 'expo-router';

import { EventSheetPage } from '@/chunks';

export default function EventSheet() {
  const { eventId } = useLocalSearchParams<{ eventId: string }>();
  return <EventSheetPage eventId={eventId} />;
}
