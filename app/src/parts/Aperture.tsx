import { View } from 'react-native';
import Svg, { Circle, G, Line } from 'react-native-svg';

import { Balloon, type BalloonLook } from './Balloon';
import { usePalette } from '@/ui/theme';
import { useTween } from '@/ui/useTween';

interface ApertureProps extends BalloonLook {
  nominalMm: number;
  /** The balloon shown, mm. */
  widthMm: number;
  heightMm: number;
  /** The ring, and the band of its tolerance; none before there is a target. */
  target?: { widthMm: number; toleranceMm: number } | undefined;
  /** Side of the square it is drawn in, px. */
  size: number;
  /** The same in words. */
  label: string;
  /** Marks around it, one every eighth of a turn long. */
  marks?: boolean;
  /** The ring turns red: this balloon is outside. */
  outside?: boolean;
}

const MARKS = 48;
/** The small copies of lists hold still. */
const GLIDES_FROM_PX = 96;

/**
 * The signature: a thin ring is the target, a pale band its tolerance, and the balloon sits inside, all to one scale.
 */
export function Aperture(props: ApertureProps) {
  const { nominalMm, target, size, label, marks = false, outside = false, colourHex, finish } = props;
  const palette = usePalette();
  const [widthMm, heightMm, ringMm] = useTween([props.widthMm, props.heightMm, target?.widthMm ?? nominalMm], {
    small: size < GLIDES_FROM_PX,
  });
  // The view is cut to the nominal size, so that a fuller balloon fills more of it.
  const reach = nominalMm * (marks ? 0.575 : 0.54);
  const below = nominalMm * (marks ? 0.62 : 0.68);
  const scale = size / (2 * reach);
  const hair = 1.6 / scale;
  return (
    <View role="img" aria-label={label} style={{ width: size, height: (reach + below) * scale }}>
      <Svg
        width={size}
        height={(reach + below) * scale}
        viewBox={`${-reach} ${-reach} ${2 * reach} ${reach + below}`}
        aria-hidden
      >
        {marks ? <Marks radiusMm={nominalMm * 0.535} hair={hair} colour={palette.line} /> : null}
        {target ? (
          <Circle r={ringMm / 2} fill="none" stroke={palette.pineWash} strokeWidth={2 * target.toleranceMm} />
        ) : (
          <Circle
            r={nominalMm / 2}
            fill="none"
            stroke={palette.line}
            strokeWidth={hair}
            strokeDasharray={`${4 * hair} ${4 * hair}`}
          />
        )}
        <Balloon
          widthMm={widthMm}
          heightMm={heightMm}
          nominalMm={nominalMm}
          colourHex={colourHex}
          finish={finish}
          decor={props.decor ?? 'none'}
        />
        {target ? (
          <Circle
            r={ringMm / 2}
            fill="none"
            stroke={outside ? palette.out : palette.ink}
            strokeWidth={outside ? 1.5 * hair : hair}
          />
        ) : null}
      </Svg>
    </View>
  );
}

function Marks({ radiusMm, hair, colour }: { radiusMm: number; hair: number; colour: string }) {
  return (
    <G>
      {Array.from({ length: MARKS }, (_, i) => {
        const angle = (2 * Math.PI * i) / MARKS;
        const long = i % (MARKS / 8) === 0;
        const outer = radiusMm * (long ? 1.06 : 1.03);
        return (
          <Line
            key={i}
            x1={radiusMm * Math.sin(angle)}
            y1={-radiusMm * Math.cos(angle)}
            x2={outer * Math.sin(angle)}
            y2={-outer * Math.cos(angle)}
            stroke={colour}
            strokeWidth={long ? 1.5 * hair : hair}
          />
        );
      })}
    </G>
  );
}
