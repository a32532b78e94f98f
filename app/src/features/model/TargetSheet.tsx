import { router } from 'expo-router';
import { Pressable, View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { useTrade } from '@/data/trade';
import { bestHole, targetOf } from '@/views/holes';
import type { TierTarget } from '@/views/modelView';
import { Card } from '@/ui/Card';
import { RowLink } from '@/ui/RowLink';
import { Words } from '@/ui/Words';
import { dosed, feelOf, ORIGIN_WORDS } from '@/wording/trade';

import type { ShownModel } from '@/parts/WithModel';

/** Every tier's target in one table; a tap shows it large. */
export function TargetSheet({ chosenId, ...shown }: ShownModel & { chosenId: string | undefined }) {
  const { model, view } = shown;
  return (
    <Card title="Target sheet">
      <View role="list" aria-label="Target sheet" className="mb-3">
        {view.targets.map((entry) => (
          <TierRow key={entry.tier.id} {...shown} entry={entry} chosen={entry.tier.id === chosenId} />
        ))}
      </View>
      <RowLink
        href={`/shelf/sheet?model=${model.id}`}
        title="Print or save as PDF"
        note="This balloon, or the whole shelf"
      />
    </Card>
  );
}

function TierRow({
  entry: { tier, target },
  model,
  view,
  sizers,
  chosen,
}: ShownModel & { entry: TierTarget; chosen: boolean }) {
  const trade = useTrade();
  const lengths = useLengths();
  const hole = bestHole(sizers, targetOf(model, target), trade)?.choice;
  const gap = hole?.how === 'gap' ? ` − ${lengths.bare(hole.gapMm)}` : '';
  const kind = view.curve?.inflator ?? 'hand';
  return (
    <View role="listitem" className="border-b border-line">
      <Pressable
        role="button"
        onPress={() => router.setParams({ tier: tier.id })}
        className={`min-h-[56px] flex-row items-center gap-3 px-2 py-1 active:bg-sunk ${chosen ? 'bg-pine-wash' : ''}`}
      >
        <View className="flex-1">
          <Words look="strong">{tier.name}</Words>
          <Words look="quiet">{tier.purpose}</Words>
          <Words look="quiet">{feelOf(target.widthMm / model.nominalMm)}</Words>
        </View>
        <View className="w-[70px]">
          <Words look="figure" className="text-[22px] leading-7">
            {lengths.bare(target.widthMm)}
          </Words>
          <Words look="quiet">{`±${lengths.bare(target.toleranceMm)} ${lengths.unit}`}</Words>
        </View>
        <View className="w-[96px]">
          <Words look="quiet" numberOfLines={1}>{`hole ${hole ? hole.hole.label + gap : '–'}`}</Words>
          <Words look="quiet" numberOfLines={1}>
            {target.dose ? dosed(target.dose.dose, kind) : ORIGIN_WORDS[target.origin]}
          </Words>
          <Words look="quiet" numberOfLines={1}>{`tape ${lengths.bare(target.circumferenceMm)}`}</Words>
        </View>
      </Pressable>
    </View>
  );
}
