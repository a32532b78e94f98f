import type { PieceDesign } from '@leggero/contract';
import { Image, View } from 'react-native';

import { useStill } from './piece/useStill';

interface PieceStillProps {
  /** Whose picture it is. */
  id: string;
  design: PieceDesign;
  /** Across, px. */
  size: number;
}

/** A piece as it looks, small. */
export function PieceStill({ id, design, size }: PieceStillProps) {
  const still = useStill(id, design);
  const square = { width: size, height: size };
  return (
    <View style={square} aria-hidden>
      {still ? <Image source={{ uri: still.picture }} resizeMode="contain" style={square} /> : null}
    </View>
  );
}
