import { useLocalSearchParams } from 'expo-router';

import { PiecePage } from '@/features/linking/PiecePage';

export default function Piece() {
  const { pieceId } = useLocalSearchParams<{ pieceId: string }>();
  return <PiecePage key={pieceId} pieceId={pieceId} />;
}
