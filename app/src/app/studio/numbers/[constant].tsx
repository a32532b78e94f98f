import { useLocalSearchParams } from 'expo-router';

import { NumbersPage } from '@/chunks';

export default function NumberRoute() {
  const { constant } = useLocalSearchParams<{ constant: string }>();
  return <NumbersPage constant={constant} />;
}
