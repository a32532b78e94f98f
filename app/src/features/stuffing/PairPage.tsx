import { MODEL_DEFAULTS, type ShelfModel } from '@leggero/contract';
import { router } from 'expo-router';
import { View } from 'react-native';

import { newId } from '@/device/id';
import { useKnowledge } from '@/data/knowledge';
import { modelName, mostUsed } from '@/views/modelView';
import type { Parts } from '@/views/pairs';
import { write } from '@/data/outbox';
import { useStudio, useTiers } from '@/data/records';
import { useThere } from '@/data/stock';
import { useTrade } from '@/data/trade';
import { BalloonPick } from '@/parts/BalloonPick';
import { Button } from '@/ui/Button';
import { Cautions } from '@/parts/Cautions';
import { useWide } from '@/ui/layout';
import { Page } from '@/ui/Page';
import { Empty, Loading } from '@/ui/States';
import { useAddress } from '@/ui/useAddress';

import { ColourNote, HowToStuff, PairTarget, PairVerdict, PressureCard } from './PairCards';
import { pairTier, viewPair } from './viewPair';

/**
 * Two balloons chosen as outer and inner: whether they make a pair, and what comes of it. All of it stands in the
 * address.
 */
export function PairPage() {
  const trade = useTrade();
  const thereOf = useThere();
  const [{ outer: outerId, inner: innerId, tier: tierId }, ask] = useAddress<'outer' | 'inner' | 'tier'>();
  const knowledge = useKnowledge();
  const studio = useStudio().data;
  const tiers = useTiers().data;
  const wide = useWide();
  const singles = knowledge?.models.filter(({ outerId: of }) => of === null);
  const parts = singles ? chosenParts(singles, outerId, innerId) : null;
  const tier = pairTier(tiers ?? [], tierId, trade);
  const view = parts && tier && knowledge && studio ? viewPair({ parts, tier, knowledge, studio, thereOf }) : null;
  const back = wide ? undefined : '/shelf';
  if (!knowledge || !studio || !tiers || !singles) {
    return (
      <Page title="Pair two balloons" back={back}>
        <Loading what="the shelf" />
      </Page>
    );
  }
  if (!view || !tier) {
    return (
      <Page title="Pair two balloons" back={back}>
        <Empty
          sentence="A pair takes balloons that are filled to a width. Put one on the shelf first."
          action={<Button title="Add a balloon" look="primary" tall onPress={() => router.navigate('/shelf/new')} />}
        />
      </Page>
    );
  }
  const { outer, inner } = view.parts;
  const there = knowledge.models.find((model) => model.outerId === outer.id && model.innerId === inner.id);
  const keep = () => {
    if (there) return router.navigate(`/shelf/${there.id}`);
    const id = newId();
    const { kind, nominalMm, finish, colourHex } = outer;
    write({
      put: 'model',
      row: {
        ...MODEL_DEFAULTS,
        id,
        line: `${modelName(outer)} over ${modelName(inner)}`.slice(0, 80),
        kind,
        nominalMm,
        finish,
        colourName: `${outer.colourName} over ${inner.colourName}`.slice(0, 40),
        colourHex,
        outerId: outer.id,
        innerId: inner.id,
      },
    });
    router.navigate(`/shelf/${id}`);
  };
  const choices = (
    <>
      <BalloonPick label="Outer balloon" models={singles} value={outer} onChange={(id) => ask({ outer: id })} />
      <BalloonPick label="Inner balloon" models={singles} value={inner} onChange={(id) => ask({ inner: id })} />
    </>
  );
  const result = (
    <>
      <View className="gap-3">{choices}</View>
      <PairVerdict view={view} colourHex={view.colour.colourHex} />
      <PairTarget view={view} tiers={tiers} tier={tier} onTier={(id) => ask({ tier: id })} />
      <ColourNote view={view} />
    </>
  );
  return (
    <Page
      title="Pair two balloons"
      subtitle="One inside the other, filled as one"
      back={back}
      actions={
        <Button
          title={there ? 'Open this pair' : 'Put the pair on the shelf'}
          look="primary"
          tall
          className="flex-1"
          disabled={!view.stuffing}
          onPress={keep}
        />
      }
    >
      <View className={wide ? 'flex-row items-start gap-6' : 'gap-4'}>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>{result}</View>
        <View className={wide ? 'flex-1 gap-4' : 'gap-4'}>
          <HowToStuff view={view} />
          <PressureCard view={view} />
          <Cautions names={['burst', 'latex', 'choking']} />
        </View>
      </View>
    </Page>
  );
}

/** The balloons asked for; else the one used most, with the largest other that goes into it. */
function chosenParts(models: readonly ShelfModel[], outerId?: string, innerId?: string): Parts<ShelfModel> | null {
  const outer = models.find(({ id }) => id === outerId) ?? mostUsed(models);
  if (!outer) return null;
  const fitting = models
    .filter(({ id, nominalMm }) => id !== outer.id && nominalMm <= outer.nominalMm)
    .sort((a, b) => b.nominalMm - a.nominalMm);
  const inner = models.find(({ id }) => id === innerId) ?? fitting[0] ?? outer;
  return { outer, inner };
}
