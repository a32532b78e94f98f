import { useLocalSearchParams } from 'expo-router';

import { InflationPage } from '@/chunks';

export default function InflationRun() {
  const { eventId } = useLocalSearchParams<{ eventId: string }>();
  return <InflationPage eventId={eventId} />;
}
