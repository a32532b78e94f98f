import type { Adjustable } from '@leggero/core/constants';
import { View } from 'react-native';

import type { Lengths } from '@/views/lengths';
import { Field } from '@/ui/Field';
import { Words } from '@/ui/Words';
import { entryText, partText, readEntry, shortText, unitText } from '@/wording/constants';

import { effectText } from './effectText';
import { RangeBar } from './RangeBar';
import type { Effect } from './trial';

interface OneNumberProps {
  number: Adjustable;
  /** As it is here now. */
  value: number;
  /** As it was typed; null while it was not. */
  typed: string | null;
  error: string | undefined;
  /** What it would move at its least and at its most; null until that is known. */
  ends: { least: Effect; most: Effect } | null;
  lengths: Lengths;
  onType: (text: string) => void;
}

/** A number of the trade: typed in the studio's own unit, within what is plausible, with what it moves at the ends. */
export function OneNumber({ number, value, typed, error, ends, lengths, onType }: OneNumberProps) {
  const [least, most] = number.range;
  const short = (each: number) => shortText(number, each, lengths);
  const between = `${short(least)} to ${short(most)} is plausible`;
  const shown = typed === null ? value : readEntry(number, typed, lengths);
  return (
    <View className="gap-1">
      <Field
        label={`${partText(number)}, ${unitText(number, lengths)}`}
        inputMode="text"
        value={typed ?? entryText(number, value, lengths)}
        onChangeText={onType}
        error={error}
      />
      <RangeBar
        label={`${between}; the table has ${short(number.usual)}`}
        range={number.range}
        usual={number.usual}
        value={shown}
      />
      <View className="flex-row justify-between">
        <Words look="quiet">{short(least)}</Words>
        <Words look="quiet">{`the table: ${short(number.usual)}`}</Words>
        <Words look="quiet">{short(most)}</Words>
      </View>
      {ends ? <Words look="quiet">{endsText(ends, short, number, lengths)}</Words> : null}
    </View>
  );
}

function endsText(
  { least, most }: { least: Effect; most: Effect },
  short: (value: number) => string,
  { range }: Adjustable,
  lengths: Lengths,
): string {
  const [low, high] = [effectText(least, lengths), effectText(most, lengths)];
  if (low === high) return `Moves ${low}, at ${short(range[0])} as at ${short(range[1])}.`;
  return `At ${short(range[0])} it moves ${low}; at ${short(range[1])} ${high}.`;
}
