import type { ShelfModel, Studio, TierRecord } from '@leggero/contract';
import { memo } from 'react';

import type { Knowledge } from '@/views/knowledge';
import { useLengths } from '@/data/lengths';
import { figureOf, firstTarget, modelName, viewModel } from '@/views/modelView';
import { Aperture } from '@/parts/Aperture';
import { counted, FINISH_WORDS, KIND_WORDS, ORIGIN_WORDS } from '@/wording/trade';

import { RowFrame } from './RowFrame';

interface ShelfRowProps {
  model: ShelfModel;
  tiers: TierRecord[];
  studio: Studio;
  knowledge: Knowledge;
  chosen: boolean;
}

/** A model in the list: its aperture, its name, its first target and how well that is known. */
export const ShelfRow = memo(function ShelfRow({ model, tiers, studio, knowledge, chosen }: ShelfRowProps) {
  const lengths = useLengths();
  const view = viewModel({ model, knowledge, tiers, studio });
  const first = firstTarget(view);
  const count = view.calibration?.readings.length ?? 0;
  return (
    <RowFrame
      modelId={model.id}
      chosen={chosen}
      picture={
        <Aperture
          {...figureOf(model, view.curve, first?.target.widthMm ?? model.nominalMm)}
          target={first?.target}
          size={56}
          label={
            first ? `${model.colourName}, ${first.tier.name} ${lengths.text(first.target.widthMm)}` : model.colourName
          }
        />
      }
      name={modelName(model)}
      lines={[
        `${model.colourName} · ` +
          `${model.outerId === null ? '' : 'pair, '}${KIND_WORDS[model.kind].toLowerCase()}, ` +
          `${FINISH_WORDS[model.finish].toLowerCase()}`,
        [count === 0 ? 'no readings' : counted(count, 'reading'), first && ORIGIN_WORDS[first.target.origin]]
          .filter(Boolean)
          .join(' · '),
      ]}
      figure={first && lengths.bare(first.target.widthMm)}
    />
  );
});
