import { View } from 'react-native';

import { useThere } from '@/data/stock';
import { useTrade } from '@/data/trade';
import { modelName } from '@/views/modelView';
import { partsOf } from '@/views/pairs';
import type { ShownModel } from '@/parts/WithModel';
import { Cautions } from '@/parts/Cautions';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';
import { Empty } from '@/ui/States';
import { useAddress } from '@/ui/useAddress';

import { ColourNote, HowToStuff, PairTarget, PairVerdict, PressureCard } from './PairCards';
import { SeenColour } from './SeenColour';
import { pairTier, viewPair } from './viewPair';

/** Everything about a pair beside its target: whether it works, how to stuff it, its colour and its pressure. */
export function StuffingPage({ model, tiers, knowledge, studio }: ShownModel) {
  const trade = useTrade();
  const thereOf = useThere();
  const [{ tier: tierId }, ask] = useAddress<'tier'>();
  const wide = useWide();
  const tier = pairTier(tiers, tierId, trade);
  const workOut = () => {
    const parts = partsOf(model, knowledge.models);
    return parts && tier ? viewPair({ parts, pair: model, tier, knowledge, studio, thereOf }) : null;
  };
  const view = workOut();
  const back = `/shelf/${model.id}`;
  if (!view || !tier) {
    return (
      <Page title={modelName(model)} back={back}>
        <Empty sentence="This balloon is a single one: pair it with another first." />
      </Page>
    );
  }
  const { outer, inner } = view.parts;
  return (
    <Page title={modelName(model)} subtitle="Stuffing" back={back}>
      <View className={wide ? 'flex-row items-start gap-6' : 'gap-4'}>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
          <PairVerdict view={view} colourHex={model.colourHex} />
          <PairTarget view={view} tiers={tiers} tier={tier} onTier={(id) => ask({ tier: id })} />
          <HowToStuff view={view} />
          <RowLink href={`/shelf/${outer.id}`} title={modelName(outer)} note={`Outer · ${outer.colourName}`} />
          <RowLink href={`/shelf/${inner.id}`} title={modelName(inner)} note={`Inner · ${inner.colourName}`} />
        </View>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
          <SeenColour key={model.seenHex ?? ''} pair={model} view={view} />
          <ColourNote view={view} />
          <PressureCard view={view} />
          <Cautions names={['burst', 'latex', 'choking']} />
        </View>
      </View>
    </Page>
  );
}
