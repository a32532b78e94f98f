import { useLocalSearchParams } from 'expo-router';

import { VersionsPage } from '@/chunks';

export default function Versions() {
  const { eventId } = useLocalSearchParams<{ eventId: string }>();
  return <VersionsPage eventId={eventId} />;
}
