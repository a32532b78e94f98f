import { Pressable, View } from 'react-native';

import { Words } from '@/ui/Words';
import { chosenBox } from '@/ui/chosen';

import { BatchDots } from './BatchDots';

interface StandInRowProps {
  name: string;
  /** What it looks like, a balloon each. */
  models: readonly { id: string; nominalMm: number; colourHex: string }[];
  /** How its colour compares. */
  note: string;
  /** How much of it there is. */
  there?: string;
  chosen: boolean;
  onChoose: () => void;
}

/** Dots that a row has room for. */
const MOST_DOTS = 3;

/** A balloon or a line that may stand in, with how its colour compares and how much of it there is. */
export function StandInRow({ name, models, note, there, chosen, onChoose }: StandInRowProps) {
  const dots = models.slice(0, MOST_DOTS).map(({ id, nominalMm, colourHex }, i) => ({
    ...{ key: `${id} ${i}`, widthMm: Math.min(300, nominalMm), hex: colourHex },
  }));
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      aria-label={name}
      onPress={onChoose}
      className={`min-h-[56px] flex-row items-center gap-3 rounded-card border px-3 py-1 ${chosenBox(chosen)}`}
    >
      <View className={models.length > 1 ? 'w-20 items-center' : 'w-10 items-center'}>
        <BatchDots dots={dots} />
      </View>
      <View className="flex-1">
        <Words look="strong">{name}</Words>
        <Words look="quiet">{note}</Words>
      </View>
      {there ? <Words look="quiet">{there}</Words> : null}
    </Pressable>
  );
}
