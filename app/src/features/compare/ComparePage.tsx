import type { ShelfModel, SizerRecord } from '@leggero/contract';
import { router, useLocalSearchParams } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';

import { useKnowledge } from '@/api/knowledge';
import { useLengths } from '@/api/lengths';
import { firstTarget, modelName, viewModel, type ModelView } from '@/api/modelView';
import { useSizers, useStudio, useTiers } from '@/api/queries';
import { Labelled } from '@/ui/Field';
import { useWide } from '@/ui/layout';
import { LengthEntry } from '@/ui/LengthEntry';
import { Page } from '@/ui/Page';
import { PickChips } from '@/ui/PickChips';
import { Empty, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';

import { SideBySide } from './SideBySide';
import { StandIn } from './StandIn';

/** A balloon of the comparison with what is known of it. */
export interface Compared {
  model: ShelfModel;
  view: ModelView;
}

/** Two balloons at one width: dose, shape, spread and losses side by side, and how the second stands in for the first. The choice stands in the address. */
export function ComparePage() {
  const { a, b, width } = useLocalSearchParams<Record<'a' | 'b' | 'width', string>>();
  const wide = useWide();
  const lengths = useLengths();
  const tiers = useTiers().data;
  const studio = useStudio().data;
  const sizers = useSizers().data;
  const knowledge = useKnowledge();
  const compared = useMemo(() => {
    if (!knowledge || !tiers || !studio) return null;
    const { models } = knowledge;
    const first = models.find(({ id }) => id === a) ?? mostUsed(models);
    const second =
      models.find(({ id }) => id === b && id !== first?.id) ?? (first && nearestTo(first, models));
    const shown = (model: ShelfModel): Compared => ({
      model,
      view: viewModel({ model, knowledge, tiers, studio }),
    });
    return first && second
      ? { models, first: shown(first), second: shown(second) }
      : { models, first: null, second: null };
  }, [knowledge, tiers, studio, a, b]);
  const back = wide ? undefined : '/shelf';
  if (!compared || !sizers) {
    return (
      <Page title="Compare" back={back}>
        <Loading what="the shelf" />
      </Page>
    );
  }
  const { models, first, second } = compared;
  if (!first || !second) {
    return (
      <Page title="Compare" back={back}>
        <Empty sentence="Two balloons on the shelf are needed to compare." />
      </Page>
    );
  }
  const widthMm =
    Number(width) > 0
      ? Number(width)
      : (firstTarget(first.view)?.target.widthMm ?? 0.8 * first.model.nominalMm);
  const options = (other: string) =>
    models
      .filter(({ id }) => id !== other)
      .map((model) => ({ value: model.id, title: `${modelName(model)}, ${model.colourName}` }));
  return (
    <Page title="Compare" subtitle="Two balloons at one width" back={back}>
      <SideBySide first={first} second={second} widthMm={widthMm} />
      <LengthEntry
        label="At a width of"
        value={widthMm}
        least={0.3 * Math.min(first.model.nominalMm, second.model.nominalMm)}
        most={Math.max(first.model.nominalMm, second.model.nominalMm)}
        lengths={lengths}
        onChange={(mm) => router.setParams({ width: mm.toFixed(3) })}
      />
      <StandIn from={first} to={second} widthMm={widthMm} sizers={sizers satisfies SizerRecord[]} />
      <View className={wide ? 'flex-row gap-6' : 'gap-4'}>
        <View className="flex-1">
          <Labelled label="The balloon wanted">
            <PickChips
              label="The balloon wanted"
              options={options(second.model.id)}
              value={first.model.id}
              onChange={(id) => router.setParams({ a: id, b: second.model.id })}
            />
          </Labelled>
        </View>
        <View className="flex-1">
          <Labelled label="The one beside it">
            <PickChips
              label="The one beside it"
              options={options(first.model.id)}
              value={second.model.id}
              onChange={(id) => router.setParams({ a: first.model.id, b: id })}
            />
          </Labelled>
        </View>
      </View>
      <Words look="quiet">
        Intervals hold 95 of 100 times. What was never measured is estimated from the rest of the shelf.
      </Words>
    </Page>
  );
}

/** The balloon one is likeliest to run out of. */
function mostUsed(models: readonly ShelfModel[]): ShelfModel | undefined {
  return [...models].sort((x, y) => y.uses - x.uses)[0];
}

/** The other balloon of most similar nominal size: the likeliest stand-in. */
function nearestTo(model: ShelfModel, models: readonly ShelfModel[]): ShelfModel | undefined {
  const apart = ({ nominalMm }: ShelfModel) => Math.abs(nominalMm - model.nominalMm);
  return [...models].filter(({ id }) => id !== model.id).sort((x, y) => apart(x) - apart(y))[0];
}
