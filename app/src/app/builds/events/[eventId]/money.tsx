import { useLocalSearchParams } from 'expo-router';

import { MoneyPage } from '@/chunks';

export default function Money() {
  const { eventId } = useLocalSearchParams<{ eventId: string }>();
  return <MoneyPage eventId={eventId} />;
}
