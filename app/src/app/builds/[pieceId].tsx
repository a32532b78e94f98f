import { useLocalSearchParams } from 'expo-router';

import { PiecePage } from '@/chunks';

export default function Piece() {
  const { pieceId } = useLocalSearchParams<{ pieceId: string }>();
  return <PiecePage key={pieceId} pieceId={pieceId} />;
}
