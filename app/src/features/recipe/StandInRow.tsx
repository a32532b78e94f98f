import type { ModelRecord } from '@leggero/contract';
import { Pressable, View } from 'react-native';

import { Words } from '@/ui/Words';
import { chosenBox } from '@/ui/chosen';
import { balloonName } from '@/views/modelView';
import type { ModelStock } from '@/views/stock';

import { BatchDots } from './BatchDots';

interface StandInRowProps {
  model: ModelRecord;
  /** How its colour compares. */
  note: string;
  stock: ModelStock;
  chosen: boolean;
  onChoose: () => void;
}

/** A balloon that may stand in, with how its colour compares and how many there are. */
export function StandInRow({ model, note, stock, chosen, onChoose }: StandInRowProps) {
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      aria-label={balloonName(model)}
      onPress={onChoose}
      className={`min-h-[56px] flex-row items-center gap-3 rounded-card border px-3 py-1 ${chosenBox(chosen)}`}
    >
      <View className="w-10 items-center">
        <BatchDots dots={[{ key: model.id, widthMm: Math.min(300, model.nominalMm), hex: model.colourHex }]} />
      </View>
      <View className="flex-1">
        <Words look="strong">{balloonName(model)}</Words>
        <Words look="quiet">{note}</Words>
      </View>
      <Words look="quiet">{stock.unknown ? 'not counted' : `${stock.there} there`}</Words>
    </Pressable>
  );
}
