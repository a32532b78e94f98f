import type { LengthParts } from '@leggero/core';
import { View } from 'react-native';

import { Words } from '@/ui/Words';

interface LengthFigureProps {
  parts: LengthParts;
  /** Height of the digits' line, px. */
  size: number;
  colour?: string | undefined;
  className?: string;
}

/** A length set large: whole digits, and the fraction smaller beside their tops. */
export function LengthFigure({ parts: { sign, whole, fraction }, size, colour, className = '' }: LengthFigureProps) {
  const ink = colour ? { color: colour } : {};
  const small = whole === '' ? size : Math.round(size * 0.62);
  return (
    <View className={`flex-row items-start ${className}`}>
      {whole ? (
        <Words look="figure" style={{ fontSize: size, lineHeight: Math.round(size * 1.05), ...ink }}>
          {sign}
          {whole.trim()}
        </Words>
      ) : null}
      {fraction ? (
        <Words look="figure" style={{ fontSize: small, lineHeight: Math.round(small * 1.15), ...ink }}>
          {fraction}
        </Words>
      ) : null}
    </View>
  );
}
