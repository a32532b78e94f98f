import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { useRef, useState } from 'react';
import { View, type GestureResponderEvent, type LayoutChangeEvent } from 'react-native';
import Svg, { Line, Path, Polygon, Text as SvgText } from 'react-native-svg';

import { StepButton } from './Button';
import { usePalette } from './theme';

interface DialProps {
  label: string;
  /** mm */
  value: number;
  /** What the value reads as, for those who hear it. */
  spoken: string;
  least: number;
  most: number;
  /** mm between two places the dial can stand. */
  step: number;
  /** Steps from one long mark to the next, and what stands at them. */
  stepsPerMark: number;
  markOf: (mm: number) => string;
  onChange: (mm: number) => void;
}

const HEIGHT = 64;
const PX_PER_STEP = 14;

/** A ruler under a needle: drag it, tap its ends, or use the arrow keys. */
export function Dial({ label, value, spoken, least, most, step, stepsPerMark, markOf, onChange }: DialProps) {
  const palette = usePalette();
  const [width, setWidth] = useState(240);
  const at = Math.round(value / step);
  const clamp = (count: number) => Math.min(Math.floor(most / step), Math.max(Math.ceil(least / step), count));
  const move = (count: number) => onChange(clamp(count) * step);

  const grip = useRef({ pageX: 0, at: 0 });
  const drag = {
    onStartShouldSetResponder: () => true,
    onMoveShouldSetResponder: () => true,
    onResponderTerminationRequest: () => false,
    onResponderGrant: ({ nativeEvent }: GestureResponderEvent) => {
      grip.current = { pageX: nativeEvent.pageX, at };
    },
    onResponderMove: ({ nativeEvent }: GestureResponderEvent) => {
      const to = grip.current.at - Math.round((nativeEvent.pageX - grip.current.pageX) / PX_PER_STEP);
      if (clamp(to) !== at) move(to);
    },
  };

  const half = Math.ceil(width / 2 / PX_PER_STEP) + 1;
  const marks = Array.from({ length: 2 * half + 1 }, (_, i) => at - half + i).filter((count) => clamp(count) === count);
  // One stroke for all marks of a kind: a tap redraws two paths, not thirty lines.
  const ruled = (which: (mark: { long: boolean }) => boolean) =>
    marks
      .filter((count) => which({ long: count % stepsPerMark === 0 }))
      .map((count) => {
        const reach = count % stepsPerMark === 0 ? 24 : count % (stepsPerMark / 2) === 0 ? 17 : 11;
        return `M${width / 2 + (count - at) * PX_PER_STEP} 0V${reach}`;
      })
      .join('');
  const keys = {
    onKeyDown: (event: { key: string; preventDefault(): void }) => {
      const by = {
        ArrowRight: 1,
        ArrowUp: 1,
        ArrowLeft: -1,
        ArrowDown: -1,
        PageUp: stepsPerMark,
        PageDown: -stepsPerMark,
      }[event.key];
      if (by === undefined) return;
      event.preventDefault();
      move(at + by);
    },
  };

  return (
    <View className="flex-row items-center gap-2">
      <StepButton
        icon={Minus}
        label={`Smaller: ${label}`}
        disabled={clamp(at - 1) === at}
        onPress={() => move(at - 1)}
      />
      <View
        {...drag}
        {...(keys as object)}
        role="slider"
        tabIndex={0}
        aria-label={label}
        aria-valuemin={least}
        aria-valuemax={most}
        aria-valuenow={value}
        aria-valuetext={spoken}
        onLayout={(event: LayoutChangeEvent) => setWidth(event.nativeEvent.layout.width)}
        className="flex-1 cursor-grab touch-none select-none overflow-hidden rounded-card border border-line bg-surface"
        style={{ height: HEIGHT }}
      >
        <Svg width={width} height={HEIGHT} aria-hidden>
          <Path d={ruled(({ long }) => !long)} stroke={palette.quiet} strokeWidth={1} />
          <Path d={ruled(({ long }) => long)} stroke={palette.ink} strokeWidth={2} />
          {marks
            .filter((count) => count % stepsPerMark === 0)
            .map((count) => (
              <SvgText
                key={count}
                x={width / 2 + (count - at) * PX_PER_STEP}
                y={44}
                fontSize={15}
                fontFamily="BricolageGrotesque_700Bold"
                fill={palette.quiet}
                textAnchor="middle"
              >
                {markOf(count * step)}
              </SvgText>
            ))}
          <Line x1={width / 2} x2={width / 2} y1={0} y2={HEIGHT - 10} stroke={palette.kiln} strokeWidth={3} />
          <Polygon
            points={`${width / 2 - 7},${HEIGHT} ${width / 2 + 7},${HEIGHT} ${width / 2},${HEIGHT - 12}`}
            fill={palette.kiln}
          />
        </Svg>
      </View>
      <StepButton icon={Plus} label={`Larger: ${label}`} disabled={clamp(at + 1) === at} onPress={() => move(at + 1)} />
    </View>
  );
}
