import { useLocalSearchParams } from 'expo-router';

import { PumpPage } from '@/chunks';

export default function Pump() {
  const { pumpId } = useLocalSearchParams<{ pumpId: string }>();
  return <PumpPage key={pumpId} pumpId={pumpId} />;
}
