import { View } from 'react-native';

interface RangeBarProps {
  /** The same in words. */
  label: string;
  range: readonly [least: number, most: number];
  /** As the table has it, and as it is here. */
  usual: number;
  value: number;
}

/** Where a number lies in what is plausible for it: a thin line for the table's, a broad one for this studio's. */
export function RangeBar({ label, range: [least, most], usual, value }: RangeBarProps) {
  const at = (number: number) => `${100 * Math.min(1, Math.max(0, (number - least) / (most - least)))}%` as const;
  return (
    <View role="img" aria-label={label} className="h-5 justify-center">
      <View className="h-[6px] rounded-full bg-sunk" />
      <View className="absolute bottom-0 top-0 w-[2px] bg-quiet" style={{ left: at(usual) }} />
      {Number.isFinite(value) && value !== usual ? (
        <View className="absolute bottom-0 top-0 -ml-[2px] w-[6px] rounded-full bg-pine" style={{ left: at(value) }} />
      ) : null}
    </View>
  );
}
