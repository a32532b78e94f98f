import type { ShelfModel } from '@leggero/contract';
import { router, useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';

import { useKnowledge } from '@/data/knowledge';
import type { Knowledge } from '@/views/knowledge';
import { useLengths } from '@/data/lengths';
import { firstTarget, modelName, mostUsed, viewModel } from '@/views/modelView';
import { useSizers, useStudio, useTiers } from '@/data/records';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Field';
import { useWide } from '@/ui/layout';
import { keepCsv } from '@/parts/keepCsv';
import { LengthEntry } from '@/parts/LengthEntry';
import { Page } from '@/ui/Page';
import { PickChips, ToggleChips } from '@/ui/PickChips';
import { Empty, Loading } from '@/ui/States';
import { Words } from '@/ui/Words';

import { COMPARE_COLUMNS, compareLines } from './compareFile';
import type { Compared } from './compared';
import { SideBySide } from './SideBySide';
import { StandIn } from './StandIn';

/** More side by side than this is a list, not a comparison. */
const MOST_BESIDE = 3;

/**
 * Balloons at one width: dose, shape, spread and losses side by side, and how the others stand in for the first. The
 * choice stands in the address.
 */
export function ComparePage() {
  const { a, b, width } = useLocalSearchParams<Record<'a' | 'b' | 'width', string>>();
  const wide = useWide();
  const lengths = useLengths();
  const tiers = useTiers().data;
  const studio = useStudio().data;
  const sizers = useSizers().data;
  const knowledge = useKnowledge();
  const chosen = knowledge ? chooseModels(knowledge, a, b) : null;
  const compare = () => {
    if (!knowledge || !tiers || !studio || !chosen) return null;
    return chosen.map((model): Compared => ({ model, view: viewModel({ model, knowledge, tiers, studio }) }));
  };
  const compared = compare();
  const back = wide ? undefined : '/shelf';
  if (!compared || !sizers || !knowledge) {
    return (
      <Page title="Compare" back={back}>
        <Loading what="the shelf" />
      </Page>
    );
  }
  const [first, ...others] = compared;
  if (!first || others.length === 0) {
    return (
      <Page title="Compare" back={back}>
        <Empty sentence="Two balloons on the shelf are needed to compare." />
      </Page>
    );
  }
  const asked = Number(width);
  const widthMm = asked > 0 ? asked : (firstTarget(first.view)?.target.widthMm ?? 0.8 * first.model.nominalMm);
  const nominals = compared.map(({ model }) => model.nominalMm);
  const options = knowledge.models.map((model) => ({
    value: model.id,
    title: `${modelName(model)}, ${model.colourName}`,
  }));
  const beside = others.map(({ model }) => model.id);
  return (
    <Page title="Compare" subtitle={`${compared.length} balloons at one width`} back={back}>
      <SideBySide compared={compared} widthMm={widthMm} />
      <LengthEntry
        label="At a width of"
        value={widthMm}
        least={0.3 * Math.min(...nominals)}
        most={Math.max(...nominals)}
        lengths={lengths}
        onChange={(mm) => router.setParams({ width: mm.toFixed(3) })}
      />
      {others.map((other) => (
        <StandIn key={other.model.id} from={first} to={other} widthMm={widthMm} sizers={sizers} />
      ))}
      <View className={wide ? 'flex-row gap-6' : 'gap-4'}>
        <View className="flex-1">
          <Labelled label="The balloon wanted">
            <PickChips
              label="The balloon wanted"
              options={options.filter(({ value }) => !beside.includes(value))}
              value={first.model.id}
              onChange={(id) => router.setParams({ a: id, b: beside.join(',') })}
            />
          </Labelled>
        </View>
        <View className="flex-1">
          <Labelled label="Those beside it" hint={`Up to ${MOST_BESIDE}.`}>
            <ToggleChips
              label="Those beside it"
              options={options.filter(({ value }) => value !== first.model.id)}
              values={beside}
              least={1}
              most={MOST_BESIDE}
              onChange={(ids) => router.setParams({ a: first.model.id, b: ids.join(',') })}
            />
          </Labelled>
        </View>
      </View>
      <Button
        title="Save this comparison as CSV"
        look="plain"
        onPress={() => keepCsv('comparison.csv', COMPARE_COLUMNS, compareLines(compared, widthMm))}
      />
      <Words look="quiet">
        Intervals hold 95 of 100 times. What was never measured is estimated from the rest of the shelf.
      </Words>
    </Page>
  );
}

/** The balloons of the address; else the one used most, and the likeliest to stand in for it. */
function chooseModels({ models }: Knowledge, wanted?: string, beside?: string): ShelfModel[] {
  const first = models.find(({ id }) => id === wanted) ?? mostUsed(models);
  if (!first) return [];
  const asked = (beside ?? '').split(',').filter((id) => id !== first.id);
  const named = asked.flatMap((id) => models.find((model) => model.id === id) ?? []).slice(0, MOST_BESIDE);
  const others = named.length > 0 ? named : nearestTo(first, models);
  return [first, ...others];
}

/** The other balloon of most similar nominal size; none on a shelf of one. */
function nearestTo(model: ShelfModel, models: readonly ShelfModel[]): ShelfModel[] {
  const apart = ({ nominalMm }: ShelfModel) => Math.abs(nominalMm - model.nominalMm);
  return models
    .filter(({ id }) => id !== model.id)
    .sort((x, y) => apart(x) - apart(y))
    .slice(0, 1);
}
