import { useLocalSearchParams } from 'expo-router';

import { ShoppingPage } from '@/chunks';

export default function Shopping() {
  const { eventId } = useLocalSearchParams<{ eventId: string }>();
  return <ShoppingPage eventId={eventId} />;
}
