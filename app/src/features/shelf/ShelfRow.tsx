import type { ShelfModel, Studio, TierRecord } from '@leggero/contract';
import { Link } from 'expo-router';
import { memo, useMemo } from 'react';
import { Pressable, View } from 'react-native';

import type { Knowledge } from '@/api/knowledge';
import { useLengths } from '@/api/lengths';
import { figureOf, firstTarget, modelName, viewModel } from '@/api/modelView';
import { Aperture } from '@/ui/Aperture';
import { Words } from '@/ui/Words';
import { counted, FINISH_WORDS, KIND_WORDS, ORIGIN_WORDS } from '@/wording/trade';

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
  const view = useMemo(
    () => viewModel({ model, knowledge, tiers, studio }),
    [model, knowledge, tiers, studio],
  );
  const first = firstTarget(view);
  const name = modelName(model);
  const count = view.calibration?.readings.length ?? 0;
  return (
    <Link href={`/shelf/${model.id}`} asChild>
      <Pressable
        role="link"
        aria-current={chosen ? 'page' : undefined}
        className={`flex-row items-center gap-3 rounded-card border p-2.5 active:bg-sunk ${chosen ? 'border-pine bg-pine-wash' : 'border-line bg-surface'}`}
      >
        <Aperture
          {...figureOf(model, view.curve, first?.target.widthMm ?? model.nominalMm)}
          target={first?.target}
          size={56}
          label={
            first
              ? `${model.colourName}, ${first.tier.name} ${lengths.text(first.target.widthMm)}`
              : model.colourName
          }
        />
        <View className="flex-1">
          <Words look="strong" numberOfLines={1} className="text-[15px]">
            {name}
          </Words>
          <Words look="quiet" numberOfLines={1}>
            {`${model.colourName} · ${KIND_WORDS[model.kind].toLowerCase()}, ${FINISH_WORDS[model.finish].toLowerCase()}`}
          </Words>
          <Words look="quiet" numberOfLines={1}>
            {[
              count === 0 ? 'no readings' : counted(count, 'reading'),
              first && ORIGIN_WORDS[first.target.origin],
            ]
              .filter(Boolean)
              .join(' · ')}
          </Words>
        </View>
        {first ? (
          <Words look="figure" className="text-[24px] leading-8">
            {lengths.bare(first.target.widthMm)}
          </Words>
        ) : null}
      </Pressable>
    </Link>
  );
});
