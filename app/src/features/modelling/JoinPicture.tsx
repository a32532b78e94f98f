import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Path } from 'react-native-svg';

import { shade } from '@/ui/Balloon';
import { usePalette } from '@/ui/theme';

interface JoinPictureProps {
  clusters: number;
  balloons: number;
  joinsAPiece: number;
  colourHex: string;
  label: string;
}

const HEIGHT = 84;
/** More than these are drawn as the first of them. */
const MOST_DRAWN = 12;

/** Clusters in a line and the pieces that tie them: two shades tell one piece from the next. */
export function JoinPicture({ clusters, balloons, joinsAPiece, colourHex, label }: JoinPictureProps) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const drawn = Math.min(clusters, MOST_DRAWN);
  const step = (width - 24) / drawn;
  const radius = Math.min(26, step * 0.42);
  const ball = radius * (balloons <= 2 ? 0.5 : 0.62 - 0.02 * balloons);
  const middle = (i: number) => 12 + step * (i + 0.5);
  return (
    <View
      role="img"
      aria-label={label}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      className="rounded-card border border-line bg-surface"
      style={{ height: HEIGHT }}
    >
      {width === 0 ? null : (
        <Svg width={width} height={HEIGHT} aria-hidden>
          {Array.from({ length: drawn }, (_, i) => (
            <G key={i} fill={palette.sunk} stroke={palette.quiet} strokeWidth={1}>
              {Array.from({ length: balloons }, (_, k) => {
                const angle = (2 * Math.PI * (k + 0.5)) / balloons;
                const out = balloons === 1 ? 0 : radius - ball;
                return (
                  <Circle
                    key={k}
                    cx={middle(i) + out * Math.cos(angle)}
                    cy={HEIGHT / 2 + out * Math.sin(angle)}
                    r={ball}
                  />
                );
              })}
            </G>
          ))}
          {Array.from({ length: drawn - 1 }, (_, i) => {
            const piece = Math.floor(i / joinsAPiece);
            return (
              <Path
                key={i}
                d={`M${middle(i)} ${HEIGHT / 2 - 5}Q${middle(i + 0.5)} ${HEIGHT / 2 - 14} ${middle(i + 1)} ${HEIGHT / 2 - 5}M${middle(i)} ${HEIGHT / 2 + 5}Q${middle(i + 0.5)} ${HEIGHT / 2 + 14} ${middle(i + 1)} ${HEIGHT / 2 + 5}`}
                fill="none"
                stroke={shade(colourHex, piece % 2 === 0 ? -0.15 : 0.35)}
                strokeWidth={4}
                strokeLinecap="round"
              />
            );
          })}
        </Svg>
      )}
    </View>
  );
}
