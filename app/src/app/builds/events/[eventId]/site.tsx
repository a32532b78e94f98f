import { useLocalSearchParams } from 'expo-router';

import { SitePage } from '@/chunks';

export default function Site() {
  const { eventId } = useLocalSearchParams<{ eventId: string }>();
  return <SitePage eventId={eventId} />;
}
