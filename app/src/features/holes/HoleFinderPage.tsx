import { KINDS_OF_WORK, widthCost, workToleranceMm } from '@leggero/core';
import { router, useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';

import { bestHole, nearestOfAll, type SizerChoice } from '@/views/holes';
import { useKnowledge } from '@/data/knowledge';
import { useLengths } from '@/data/lengths';
import { modelName, mostUsed } from '@/views/modelView';
import { useSizers } from '@/data/records';
import { useTrade } from '@/data/trade';
import { BalloonChoice } from '@/parts/BalloonChoice';
import { Card } from '@/ui/Card';
import { Chip } from '@/ui/Chip';
import { useWide } from '@/ui/layout';
import { LengthEntry } from '@/parts/LengthEntry';
import { Page } from '@/ui/Page';
import { Empty, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';
import { costTexts } from '@/wording/holeCost';
import { WORK_WORDS } from '@/wording/works';

import { HoldPicture } from './HoldPicture';

const FIRST_SHARE = 0.91;

/**
 * The hole for any width: which, with what gap, and what the nearest hole would cost. Width and balloon stand in the
 * address.
 */
export function HoleFinderPage() {
  const trade = useTrade();
  const { width, model: modelId } = useLocalSearchParams<Record<'width' | 'model', string>>();
  const sizers = useSizers().data;
  const knowledge = useKnowledge();
  const lengths = useLengths();
  const wide = useWide();
  const back = wide ? undefined : '/gauges';
  if (!sizers || !knowledge) {
    return (
      <Page title="Find a hole" back={back}>
        <Loading what="the sizers" />
      </Page>
    );
  }
  const model = knowledge.models.find(({ id }) => id === modelId) ?? mostUsed(knowledge.models);
  if (sizers.every(({ holes }) => holes.length === 0) || !model) {
    return (
      <Page title="Find a hole" back={back}>
        <Empty sentence="A sizer with holes, and a balloon on the shelf, are needed first." />
      </Page>
    );
  }
  const { nominalMm } = model;
  const asked = Number(width);
  const targetMm = asked > 0 ? asked : Math.round((FIRST_SHARE * nominalMm) / lengths.stepMm) * lengths.stepMm;
  const toleranceMm = workToleranceMm({ work: 'classic', nominalMm, trade });
  const wanted = { targetMm, toleranceMm, nominalMm };
  const best = bestHole(sizers, wanted, trade);
  const nearest = nearestOfAll(sizers, wanted, trade);
  const cost = nearest && widthCost({ targetMm, widthMm: targetMm + nearest.offMm });
  return (
    <Page title="Find a hole" subtitle={`${modelName(model)}, ${model.colourName}`} back={back}>
      <View className={wide ? 'flex-row items-start gap-6' : 'gap-3'}>
        <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
          <HoldPicture model={model} targetMm={targetMm} choice={best} />
          <Words look="strong" className="text-center" role="status">
            {sentenceOf(best, lengths.text)}
          </Words>
          <LengthEntry
            label="Width wanted"
            value={targetMm}
            least={0.3 * nominalMm}
            most={1.1 * nominalMm}
            lengths={lengths}
            onChange={(mm) => router.setParams({ width: mm.toFixed(3) })}
          />
        </View>
        <View className={wide ? 'flex-1 gap-3' : 'gap-3'}>
          {cost && nearest && Math.abs(nearest.offMm) >= 0.5 ? (
            <Card title={`If it just passes the ${nearest.hole.label} hole`}>
              <View className="gap-1">
                {costTexts(cost, lengths.text).map((sentence) => (
                  <Words key={sentence}>{sentence}</Words>
                ))}
                <Words look="quiet">A column or a chain scales with its balloons: common practice.</Words>
                <View className="mt-1 flex-row flex-wrap gap-2">
                  {KINDS_OF_WORK.map((work) => {
                    const fits = Math.abs(nearest.offMm) <= workToleranceMm({ work, nominalMm, trade });
                    return (
                      <Chip
                        key={work}
                        tone={fits ? 'good' : 'out'}
                        word={`${WORK_WORDS[work].title.toLowerCase()} ${fits ? 'bears it' : 'does not'}`}
                      />
                    );
                  })}
                </View>
              </View>
            </Card>
          ) : null}
          <Card title="Every sizer">
            <View role="list">
              {sizers.map((sizer) => {
                const own = bestHole([sizer], wanted, trade);
                return (
                  <View key={sizer.id} role="listitem" className="border-b border-line py-2">
                    <Words look="strong">{sizer.keeper ? `${sizer.name} (${sizer.keeper})` : sizer.name}</Words>
                    <Words look="quiet">
                      {own
                        ? `${sentenceOf(own, lengths.text)} It measures ${lengths.exact(own.choice.hole.widthMm)}.`
                        : 'None of its holes is large enough.'}
                    </Words>
                  </View>
                );
              })}
            </View>
          </Card>
          <BalloonChoice
            models={knowledge.models}
            value={model.id}
            onChange={(id) => router.setParams({ model: id, width: '' })}
          />
        </View>
      </View>
    </Page>
  );
}

function sentenceOf(found: SizerChoice | null, text: (mm: number) => string): string {
  if (!found) return 'No sizer has a hole this large: go by tape.';
  const { choice, sizer } = found;
  return choice.how === 'gap'
    ? `The ${choice.hole.label} hole of ${sizer.name}, with a ${text(choice.gapMm)} gap in all.`
    : `The ${choice.hole.label} hole of ${sizer.name}: it just passes.`;
}
