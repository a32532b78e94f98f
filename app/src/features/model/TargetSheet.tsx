import type { SizerRecord } from '@leggero/contract';
import { router } from 'expo-router';
import { Pressable, View } from 'react-native';

import { useLengths } from '@/api/lengths';
import { bestHole, type ModelView, type TierTarget } from '@/api/modelView';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { doseText, ORIGIN_WORDS } from '@/wording/trade';

interface TargetSheetProps {
  view: ModelView;
  sizers: readonly SizerRecord[];
  chosenId: string | undefined;
}

/** Every tier's target in one table; a tap shows it large. */
export function TargetSheet({ view, sizers, chosenId }: TargetSheetProps) {
  return (
    <Card title="Target sheet">
      <View role="list" aria-label="Target sheet">
        {view.targets.map((entry) => (
          <TierRow key={entry.tier.id} entry={entry} sizers={sizers} chosen={entry.tier.id === chosenId} />
        ))}
      </View>
    </Card>
  );
}

function TierRow({
  entry: { tier, target },
  sizers,
  chosen,
}: {
  entry: TierTarget;
  sizers: readonly SizerRecord[];
  chosen: boolean;
}) {
  const lengths = useLengths();
  const hole = bestHole(sizers, target.widthMm)?.choice;
  const gap = hole?.how === 'gap' ? ` − ${lengths.bare(hole.gapMm)}` : '';
  return (
    <View role="listitem" className="border-b border-line">
      <Pressable
        role="button"
        onPress={() => router.setParams({ tier: tier.id })}
        className={`min-h-[56px] flex-row items-center gap-3 px-2 py-1 active:bg-sunk ${chosen ? 'bg-pine-wash' : ''}`}
      >
        <View className="flex-1">
          <Words look="strong">{tier.name}</Words>
          <Words look="quiet" numberOfLines={2}>
            {tier.purpose}
          </Words>
        </View>
        <View className="w-[76px]">
          <Words look="figure" className="text-[22px] leading-7">
            {lengths.bare(target.widthMm)}
          </Words>
          <Words look="quiet">{`±${lengths.bare(target.toleranceMm)} ${lengths.unit}`}</Words>
        </View>
        <View className="w-[92px]">
          <Words look="quiet" numberOfLines={1}>{`hole ${hole ? hole.hole.label + gap : '–'}`}</Words>
          <Words look="quiet" numberOfLines={1}>
            {target.dose ? `${doseText(target.dose.dose)} strokes` : ORIGIN_WORDS[target.origin]}
          </Words>
        </View>
      </Pressable>
    </View>
  );
}
