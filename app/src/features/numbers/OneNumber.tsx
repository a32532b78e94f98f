import type { Adjustable, Bounds } from '@leggero/core/constants';
import { View } from 'react-native';

import type { Lengths } from '@/views/lengths';
import { Field } from '@/ui/Field';
import { Words } from '@/ui/Words';
import { entryText, partText, readEntry, shortText, unitText } from '@/wording/constants';

import { effectText } from './effectText';
import { RangeBar } from './RangeBar';
import type { Effect } from './trial';

/** What a number would move at the least and at the most that it can be. */
export interface AtEnds {
  bounds: Pick<Bounds, 'least' | 'most'>;
  least: Effect;
  most: Effect;
}

interface OneNumberProps {
  number: Adjustable;
  /** As it is here now. */
  value: number;
  /** As it was typed; null while it was not. */
  typed: string | null;
  error: string | undefined;
  /** Null until that is known. */
  ends: AtEnds | null;
  /** What is typed would move, with all else that is; null until that is known. */
  moves: Effect | null;
  lengths: Lengths;
  onType: (text: string) => void;
}

/** A number of the trade: typed in the studio's own unit, within what is plausible, with what it moves. */
export function OneNumber({ number, value, typed, error, ends, moves, lengths, onType }: OneNumberProps) {
  const [least, most] = number.range;
  const short = (each: number) => shortText(number, each, lengths);
  const between = `${short(least)} to ${short(most)} is plausible`;
  const shown = typed === null ? value : readEntry(number, typed, lengths);
  const says =
    typed !== null && moves
      ? `This would move ${effectText(moves, lengths)}.`
      : typed === null && ends
        ? endsText(ends, short, lengths)
        : null;
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
      {says ? (
        <Words look="quiet" role="status">
          {says}
        </Words>
      ) : null}
    </View>
  );
}

function endsText({ bounds, least, most }: AtEnds, short: (value: number) => string, lengths: Lengths): string {
  const [low, high] = [effectText(least, lengths), effectText(most, lengths)];
  if (low === high) return `Moves ${low}, from ${short(bounds.least)} to ${short(bounds.most)}.`;
  return `At ${short(bounds.least)} it moves ${low}; at ${short(bounds.most)} ${high}.`;
}
