import { MOST_DECORATORS } from '@leggero/contract';
import { DECORATOR_WAYS, MM_PER_INCH, MOST_IN_DECORATOR } from '@leggero/core';
import { View } from 'react-native';

import { decoratorGroups, nestsFor, wholeDecorators, type InHollows } from '@/parts/piece/decorators';
import { CountField, MmField, PartPick } from '@/parts/piece/Fields';
import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import type { PackedWithGaps } from '@/parts/piece/packing';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Labelled } from '@/ui/Field';
import { NumberField } from '@/ui/NumberField';
import { ToggleChips } from '@/ui/PickChips';
import { Segmented } from '@/ui/Segmented';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { DECORATOR_WAY_WORDS, GROUP_WORDS, groupsText, hollowsText } from '@/wording/decorators';

import { TrimmingFields } from './TrimmingFields';
import { UnevenField } from './UnevenField';

interface DecoratorCardProps {
  design: GarlandDesign;
  /** null before it was packed. */
  packed: PackedWithGaps | null;
  hollows: InHollows;
  basis: PieceBasis;
  change: (by: Partial<GarlandDesign>) => void;
}

/** 5 in balloons of uneven sizes around 4 in, in fours, threes and twos, about one for each cluster (common practice). */
const FIRST = { widthMm: 4 * MM_PER_INCH, way: 'even', tied: [4, 3, 2], uneven: 0.12 } as const;
const WAYS = DECORATOR_WAYS.map((value) => ({ value, title: DECORATOR_WAY_WORDS[value] }));
const SIZES = Array.from({ length: MOST_IN_DECORATOR }, (_, i) => ({ value: `${i + 1}`, title: GROUP_WORDS[i]! }));

/** Small balloons in the hollows of a garland, and what else is put there. */
export function DecoratorCard({ design, packed, hollows, basis, change }: DecoratorCardProps) {
  const { decorators, kinds, clusters, trimmings } = design;
  const { modelId: _, ...loose } = kinds.at(-1)!.balloons[0]!;
  return (
    <Card title="Decorators">
      <View className="gap-3">
        <SwitchRow
          label="Decorators in its hollows"
          value={decorators !== null}
          onChange={(on) =>
            change({
              decorators: on
                ? {
                    ...loose,
                    modelId: null,
                    ...FIRST,
                    tied: [...FIRST.tied],
                    count: Math.min(MOST_DECORATORS, clusters),
                  }
                : null,
            })
          }
        />
        {decorators ? (
          <Groups decorators={decorators} seed={design.seed} packed={packed} basis={basis} change={change} />
        ) : null}
        <TrimmingFields {...{ trimmings, basis, change }} put={packed ? hollows.trimmings : null} />
      </View>
    </Card>
  );
}

interface GroupsProps extends Pick<DecoratorCardProps, 'packed' | 'basis' | 'change'> {
  decorators: NonNullable<GarlandDesign['decorators']>;
  seed: number;
}

function Groups({ decorators: stored, seed, packed, basis, change }: GroupsProps) {
  const decorators = wholeDecorators(stored);
  const { count, way, tied, widthMm, uneven } = decorators;
  const { lengths } = basis;
  const put = (by: Partial<typeof decorators>) => change({ decorators: { ...stored, ...by } });
  const nests = packed ? nestsFor(packed, widthMm).length : null;
  return (
    <>
      <PartPick label="Decorator" part={decorators} basis={basis} onChange={put} />
      <Labelled label="Tied in">
        <ToggleChips
          label="Tied in"
          options={SIZES}
          values={tied.map(String)}
          least={1}
          most={MOST_IN_DECORATOR}
          onChange={(values) => put({ tied: values.map(Number).sort((a, b) => b - a) })}
        />
      </Labelled>
      <View className="flex-row items-end gap-3">
        <CountField
          label="How many decorators"
          of="decorators"
          most={MOST_DECORATORS}
          value={count}
          onChange={(many) => put({ count: many })}
        />
        <MmField
          label="Width of decorators"
          value={widthMm}
          width
          basis={basis}
          onChange={(mm) => put({ widthMm: mm })}
        />
      </View>
      {packed ? <Density {...{ packed, count, lengths }} onChange={(many) => put({ count: many })} /> : null}
      <Segmented label="Where decorators go" options={WAYS} value={way} onChange={(to) => put({ way: to })} />
      <SwitchRow
        label="Decorators uneven"
        value={uneven !== null}
        onChange={(on) => put({ uneven: on ? FIRST.uneven : null })}
      />
      {uneven === null ? null : (
        <UnevenField
          label="Decorators nearly all within"
          hint={`Either way, at ${lengths.text(widthMm)}.`}
          uneven={uneven}
          ofMm={widthMm}
          basis={basis}
          onChange={(to) => put({ uneven: to })}
        />
      )}
      <Words>{groupsText(decoratorGroups({ decorators, seed }), lengths.text)}</Words>
      {packed && nests !== null ? (
        <Words role="status">
          {hollowsText({ nests, count }, { widthMm, widestMm: packed.gaps[0]?.widthMm ?? null }, lengths.fine)}
        </Words>
      ) : null}
      {nests !== null && nests > 0 && nests !== count ? (
        <Button title={`Put one in each: ${nests}`} onPress={() => put({ count: Math.min(MOST_DECORATORS, nests) })} />
      ) : null}
    </>
  );
}

interface DensityProps {
  packed: PackedWithGaps;
  count: number;
  lengths: PieceBasis['lengths'];
  onChange: (count: number) => void;
}

/** How many decorators there are for each foot, or metre, of it. */
function Density({ packed: { lengthMm }, count, lengths, onChange }: DensityProps) {
  const [each, mm] = lengths.unit === 'in' ? (['foot', 12 * MM_PER_INCH] as const) : (['metre', 1000] as const);
  const many = lengthMm / mm;
  return (
    <NumberField
      label={`For each ${each}`}
      value={Math.round((10 * count) / many) / 10}
      range={{ least: 0.1, most: MOST_DECORATORS / many, error: `From 0.1 for each ${each} on.` }}
      onChange={(density) => onChange(Math.min(MOST_DECORATORS, Math.max(1, Math.round(density * many))))}
    />
  );
}
