import { useLocalSearchParams } from 'expo-router';

import { PumpPage } from '@/features/gauge/PumpPage';

export default function Pump() {
  const { pumpId } = useLocalSearchParams<{ pumpId: string }>();
  return <PumpPage key={pumpId} pumpId={pumpId} />;
}
