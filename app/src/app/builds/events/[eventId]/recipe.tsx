import { useLocalSearchParams } from 'expo-router';

import { RecipePage } from '@/chunks';

export default function Recipe() {
  const { eventId } = useLocalSearchParams<{ eventId: string }>();
  return <RecipePage eventId={eventId} />;
}
