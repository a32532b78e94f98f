import type { ShelfModel } from '@leggero/contract';
import { useWindowDimensions, View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';

import type { SizerChoice } from '@/views/holes';
import { figureOf } from '@/views/modelView';
import { Balloon } from '@/parts/Balloon';
import { useWide } from '@/ui/layout';
import { usePalette } from '@/ui/theme';

interface HoldPictureProps {
  model: ShelfModel;
  targetMm: number;
  choice: SizerChoice | null;
}

/** The balloon held in its hole, to scale: the plate around it, the gap left open. */
export function HoldPicture({ model, targetMm, choice }: HoldPictureProps) {
  const palette = usePalette();
  const wide = useWide();
  const window = useWindowDimensions();
  const holeMm = choice?.choice.hole.widthMm ?? targetMm;
  const size = wide ? 300 : Math.min(window.width - 120, 240);
  const half = Math.max(holeMm, targetMm) * 0.62;
  const r = holeMm / 2;
  const plate = `M${-half} ${-half}H${half}V${half}H${-half}Z M${-r} 0A${r} ${r} 0 1 0 ${r} 0A${r} ${r} 0 1 0 ${-r} 0Z`;
  return (
    <View
      role="img"
      aria-label={
        choice
          ? `The balloon in the ${choice.choice.hole.label} hole, to scale`
          : 'The balloon; no hole is large enough'
      }
      className="items-center"
    >
      <Svg width={size} height={size} viewBox={`${-half} ${-half} ${2 * half} ${2 * half}`} aria-hidden>
        {choice ? <Path d={plate} fill={palette.sunk} fillRule="evenodd" /> : null}
        <Balloon {...figureOf(model, null, targetMm)} />
        {choice ? <Circle r={r} fill="none" stroke={palette.ink} strokeWidth={(1.8 * 2 * half) / size} /> : null}
      </Svg>
    </View>
  );
}
