import { Circle, G } from 'react-native-svg';
import { View } from 'react-native';

import type { Vec } from '../space/scene';
import { dot } from '@leggero/core/space';
import { type View as SpaceView } from '../space/view';
import { Button } from '@/ui/Button';
import { usePalette } from '@/ui/theme';
import { Words } from '@/ui/Words';

/** A balloon as it came out. */
export interface GhostBalloon {
  at: Vec;
  widthMm: number;
  /** Away from what it is tied to; null for one that stands by itself. */
  out: Vec | null;
}

/** Balloons that lie behind their middle by more than this share are hidden by those in front. */
const BEHIND = 0.3;

/** A piece as it came out, in outlines over the drawing: those at its front. */
export function Ghost({ balloons, space }: { balloons: readonly GhostBalloon[]; space: SpaceView }) {
  const palette = usePalette();
  return (
    <G opacity={0.9}>
      {balloons.map(({ at, widthMm, out }, i) => {
        if (out !== null && dot(out, space.into) > BEHIND) return null;
        const { x, y, scale } = space.project(at);
        return (
          <Circle
            key={i}
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

/** What the outlines are, and how they go away. */
export function GhostNote({ onAway }: { onAway: () => void }) {
  return (
    <View className="flex-row items-center gap-3">
      <Words look="quiet" className="flex-1">
        In outlines: one of the worst in twenty, as it comes out.
      </Words>
      <Button title="Away with it" onPress={onAway} />
    </View>
  );
}
