import type { SizerRecord } from '@leggero/contract';
import { View } from 'react-native';

import { bestHole, targetOf, type SizerChoice } from '@/views/holes';
import { useKnowledge } from '@/data/knowledge';
import { useLengths } from '@/data/lengths';
import { modelName, viewModel } from '@/views/modelView';
import { useSizers, useStudio, useTiers } from '@/data/records';
import { useTrade } from '@/data/trade';
import { Card } from '@/ui/Card';
import { Chip } from '@/ui/Chip';
import { Words } from '@/ui/Words';

/** More balloons than this are not gone through here: the shelf shows them. */
const MOST_MODELS = 12;

interface Change {
  key: string;
  title: string;
  before: string;
  after: string;
}

/** The targets that use another hole, or another gap, since the sizer was checked. */
export function ChangedTargets({ sizer, takenIds }: { sizer: SizerRecord; takenIds: readonly string[] }) {
  const trade = useTrade();
  const sizers = useSizers().data;
  const tiers = useTiers().data;
  const studio = useStudio().data;
  const knowledge = useKnowledge();
  const { text, bare } = useLengths();
  const findChanges = () => {
    if (!sizers || !tiers || !studio || !knowledge) return null;
    const taken = new Set(takenIds);
    const before = sizers.map((each) =>
      each.id === sizer.id
        ? {
            ...each,
            holes: each.holes.map((hole) => ({
              ...hole,
              measurements: hole.measurements.filter(({ id }) => !taken.has(id)),
            })),
          }
        : each,
    );
    const models = [...knowledge.models].sort((a, b) => b.uses - a.uses).slice(0, MOST_MODELS);
    return models.flatMap((model) =>
      viewModel({ model, knowledge, tiers, studio }).targets.flatMap(({ tier, target }): Change[] => {
        const wanted = targetOf(model, target);
        const was = howText(bestHole(before, wanted, trade), bare);
        const is = howText(bestHole(sizers, wanted, trade), bare);
        const title = `${modelName(model)} ${tier.name}, ${text(target.widthMm)}`;
        return was === is ? [] : [{ key: model.id + tier.id, title, before: was, after: is }];
      }),
    );
  };
  const changes = findChanges();
  if (!changes) return null;
  return (
    <Card title="What changes">
      {changes.length === 0 ? (
        <Words>
          {takenIds.length === 0
            ? 'Nothing was measured, so nothing changes.'
            : 'Every target keeps its hole. Past checks and readings through these holes follow what you measured.'}
        </Words>
      ) : (
        <View role="list">
          {changes.map(({ key, title, before, after }) => (
            <View key={key} role="listitem" className="gap-1 border-b border-line py-2">
              <Words look="strong">{title}</Words>
              <View className="flex-row flex-wrap items-center gap-2">
                <Words look="quiet">{`${before}, from now on`}</Words>
                <Chip tone="measured" word={after} />
              </View>
            </View>
          ))}
          <Words look="quiet" className="pt-2">
            Past checks and readings through these holes follow too.
          </Words>
        </View>
      )}
    </Card>
  );
}

function howText(found: SizerChoice | null, bare: (mm: number) => string): string {
  if (!found) return 'no hole';
  const { choice } = found;
  return choice.how === 'gap'
    ? `the ${choice.hole.label} hole, gap ${bare(choice.gapMm)}`
    : `the ${choice.hole.label} hole`;
}
