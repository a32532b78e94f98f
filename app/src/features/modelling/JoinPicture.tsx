import { Circle, G, Path } from 'react-native-svg';

import { shade } from '@/parts/shade';
import { Picture } from '@/ui/Picture';
import { usePalette } from '@/ui/theme';

interface JoinPictureProps {
  clusters: number;
  balloons: number;
  joinsAPiece: number;
  colourHex: string;
  label: string;
}

/** More than these are drawn as the first of them. */
const MOST_DRAWN = 6;

/** Clusters in a line and the pieces that tie them: two shades tell one piece from the next. */
export function JoinPicture({ clusters, balloons, joinsAPiece, colourHex, label }: JoinPictureProps) {
  const palette = usePalette();
  const drawn = Math.min(clusters, MOST_DRAWN);
  return (
    <Picture label={label} height={84}>
      {(width, height) => {
        const step = (width - 24) / drawn;
        const radius = Math.min(32, step * 0.46);
        const ball = radius * (balloons <= 2 ? 0.5 : 0.62 - 0.02 * balloons);
        const middle = (i: number) => 12 + step * (i + 0.5);
        const band = (i: number, by: number) =>
          `M${middle(i)} ${height / 2 + by}Q${middle(i + 0.5)} ${height / 2 + 2.8 * by} ${middle(i + 1)} ` +
          `${height / 2 + by}`;
        return (
          <>
            {Array.from({ length: drawn }, (_, i) => (
              <G key={i} fill={palette.sunk} stroke={palette.quiet} strokeWidth={1}>
                {Array.from({ length: balloons }, (__, k) => {
                  const angle = (2 * Math.PI * (k + 0.5)) / balloons;
                  const out = radius - ball;
                  return (
                    <Circle
                      key={k}
                      cx={middle(i) + out * Math.cos(angle)}
                      cy={height / 2 + out * Math.sin(angle)}
                      r={ball}
                    />
                  );
                })}
              </G>
            ))}
            {Array.from({ length: drawn - 1 }, (_, i) => (
              <Path
                key={i}
                d={band(i, -5) + band(i, 5)}
                fill="none"
                stroke={shade(colourHex, Math.floor(i / joinsAPiece) % 2 === 0 ? -0.15 : 0.35)}
                strokeWidth={3}
                strokeLinecap="round"
              />
            ))}
          </>
        );
      }}
    </Picture>
  );
}
