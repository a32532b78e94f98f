import { Circle, G } from 'react-native-svg';

import type { ColumnBalloon } from '@/parts/piece/colouring';
import { dot, type View } from '@/parts/space/view';
import { usePalette } from '@/ui/theme';

interface GhostProps {
  balloons: readonly ColumnBalloon[];
  standMm: number;
  space: View;
}

/** Balloons that lie behind their middle by more than this share are hidden by those in front. */
const BEHIND = 0.3;

/** A piece as it came out, in outlines over the drawing: those at its front. */
export function Ghost({ balloons, standMm, space }: GhostProps) {
  const palette = usePalette();
  return (
    <G opacity={0.9}>
      {balloons.map(({ layer, place, xMm, yMm, zMm, widthMm, outwards }) => {
        if (outwards !== null && dot([Math.cos(outwards), Math.sin(outwards), 0], space.into) > BEHIND) return null;
        const { x, y, scale } = space.project([xMm, yMm, standMm + zMm]);
        const key = `${layer} ${place}`;
        return (
          <Circle
            key={key}
            cx={x}
            cy={y}
            r={(scale * widthMm) / 2}
            fill="none"
            stroke={palette.ink}
            strokeDasharray="4 3"
          />
        );
      })}
    </G>
  );
}
