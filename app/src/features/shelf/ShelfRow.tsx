import type { ModelRecord, ShelfModel, Studio, TierRecord } from '@leggero/contract';
import { memo } from 'react';

import type { Knowledge } from '@/views/knowledge';
import { useLengths } from '@/data/lengths';
import { asSold, figureOf, firstTarget, modelName, viewModel } from '@/views/modelView';
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
  const view = viewModel({ model, knowledge, tiers, studio, follow: true });
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
        looksOf(model),
        [count === 0 ? 'no readings' : counted(count, 'reading'), first && ORIGIN_WORDS[first.target.origin]]
          .filter(Boolean)
          .join(' · '),
      ]}
      figure={first && lengths.bare(first.target.widthMm)}
    />
  );
});

/** What it looks like, in words. */
function looksOf({ colourName, outerId, kind, finish }: ModelRecord): string {
  const pair = outerId === null ? '' : 'pair, ';
  return `${colourName} · ${pair}${KIND_WORDS[kind].toLowerCase()}, ${FINISH_WORDS[finish].toLowerCase()}`;
}

/** The same while what is known of it is still being worked out. */
export const ComingRow = memo(function ComingRow({ model, chosen }: { model: ModelRecord; chosen: boolean }) {
  return (
    <RowFrame
      modelId={model.id}
      chosen={chosen}
      picture={<Aperture {...asSold(model)} size={56} label={model.colourName} />}
      name={modelName(model)}
      lines={[looksOf(model), 'Working out its target …']}
    />
  );
});
