import type { ShelfModel } from '@leggero/contract';
import type { InflatorKind, TranslatedDose } from '@leggero/core';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { figureOf } from '@/views/modelView';
import { Aperture } from '@/parts/Aperture';
import { Words } from '@/ui/Words';
import { dosed, doseText, unitBeside } from '@/wording/trade';

/** One dose of a recipe; `translated` is null where it hardly fills the balloon. */
export interface RecipeStep {
  dose: number;
  translated: TranslatedDose | null;
}

interface RecipePictureProps {
  model: ShelfModel;
  steps: readonly RecipeStep[];
  from: InflatorKind;
  to: InflatorKind;
}

/** The balloons of a recipe to one scale, each with its dose, its width and the other inflator's dose. */
export function RecipePicture({ model, steps, from, to }: RecipePictureProps) {
  const { text } = useLengths();
  return (
    <View role="list" aria-label="The recipe translated" className="flex-row flex-wrap gap-2">
      {steps.map(({ dose, translated }, i) => (
        <View
          key={i}
          role="listitem"
          className="w-[104px] items-center gap-1 rounded-card border border-line bg-surface px-2 py-3"
        >
          <Words look="quiet">{dosed(dose, from)}</Words>
          {translated ? (
            <>
              <Aperture
                {...figureOf(model, null, translated.width.widthMm)}
                size={76}
                label={`${text(translated.width.widthMm)} across`}
              />
              <Words look="strong">{text(translated.width.widthMm)}</Words>
              <Words look="figure" className="text-[22px] leading-7">
                {doseText(translated.dose, to)}
              </Words>
              <Words look="quiet" className="text-center">
                {`${unitBeside(translated.dose, to)}\n${doseText(translated.low, 'timed')}–${doseText(translated.high, 'timed')}`}
              </Words>
            </>
          ) : (
            <Words look="quiet" className="text-center">
              too little to tell
            </Words>
          )}
        </View>
      ))}
    </View>
  );
}
