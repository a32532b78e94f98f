import { View } from 'react-native';

import { Words } from '@/ui/Words';

export interface LengthBar {
  title: string;
  mm: number;
}

interface LengthBarsProps {
  bars: readonly LengthBar[];
  /** Where its path ends, mm: a line across all of them. */
  pathMm: number;
  text: (mm: number) => string;
}

/** Of the longest there is so much room on either side of its end. */
const ROOM = 1.04;

/** How long a garland is by each way to know it, side by side to one scale, against its path. */
export function LengthBars({ bars, pathMm, text }: LengthBarsProps) {
  const longest = ROOM * Math.max(pathMm, ...bars.map(({ mm }) => mm));
  const share = (mm: number) => `${(100 * mm) / longest}%` as const;
  return (
    <View role="list" aria-label="How long it is, by each way to know it" className="gap-1">
      {bars.map(({ title, mm }) => (
        <View key={title} role="listitem" aria-label={`${title}: ${text(mm)}`} className="flex-row items-center gap-2">
          <Words className="w-[132px]">{title}</Words>
          <View className="h-7 flex-1 justify-center">
            <View className="h-2 rounded-full bg-pine" style={{ width: share(mm) }} />
            <View className="absolute h-7 w-[2px] bg-ink" style={{ left: share(pathMm) }} />
          </View>
          <Words className="w-[86px] text-right tabular-nums">{text(mm)}</Words>
        </View>
      ))}
    </View>
  );
}

export interface RangeBar {
  title: string;
  low: number;
  mean: number;
  high: number;
}

/** From where to where nine of ten garlands come out, side by side to one scale. */
export function RangeBars({ bars, text }: { bars: readonly RangeBar[]; text: (mm: number) => string }) {
  const [least, most] = [Math.min(...bars.map(({ low }) => low)), Math.max(...bars.map(({ high }) => high))];
  const wide = Math.max(1, most - least);
  const at = (mm: number) => `${5 + (90 * (mm - least)) / wide}%` as const;
  return (
    <View role="list" aria-label="Nine of ten come out" className="gap-1">
      {bars.map(({ title, low, mean, high }) => (
        <View
          key={title}
          role="listitem"
          aria-label={`${title}: ${text(low)} to ${text(high)}`}
          className="flex-row items-center gap-2"
        >
          <Words className="w-[108px]">{title}</Words>
          <View className="h-7 flex-1 justify-center">
            <View
              className="absolute h-2 rounded-full bg-pine"
              style={{ left: at(low), width: `${(90 * (high - low)) / wide}%` }}
            />
            <View className="absolute h-5 w-[2px] bg-ink" style={{ left: at(mean) }} />
          </View>
          <Words look="quiet" className="w-[112px] text-right tabular-nums">
            {text(mean)}
          </Words>
        </View>
      ))}
    </View>
  );
}
