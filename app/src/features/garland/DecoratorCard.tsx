import { MOST_DECORATORS } from '@leggero/contract';
import { MM_PER_INCH } from '@leggero/core';
import { View } from 'react-native';

import { CountField, MmField, PartPick } from '@/parts/piece/Fields';
import type { PackedWithGaps } from '@/parts/piece/packing';
import type { PieceBasis } from '@/parts/piece/useBasis';
import type { GarlandDesign } from '@/parts/piece/garlandPlan';
import { nestsFor } from '@/parts/piece/viewGarland';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { SwitchRow } from '@/ui/SwitchRow';
import { Words } from '@/ui/Words';
import { hollowsText } from '@/wording/garland';

interface DecoratorCardProps {
  design: GarlandDesign;
  /** null before it was packed. */
  packed: PackedWithGaps | null;
  basis: PieceBasis;
  change: (by: Partial<GarlandDesign>) => void;
}

/** Decorators are 5 in balloons of uneven sizes around 4 in, about four for each cluster (common practice). */
const FIRST_MM = 4 * MM_PER_INCH;
const EACH = 4;

/** Small balloons in the hollows of a garland: where they nest, how many, of what. */
export function DecoratorCard({ design: { decorators, kinds, clusters }, packed, basis, change }: DecoratorCardProps) {
  const put = (by: Partial<NonNullable<GarlandDesign['decorators']>>) =>
    decorators && change({ decorators: { ...decorators, ...by } });
  const nests = packed && decorators ? nestsFor(packed, decorators.widthMm).length : null;
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
                ? { ...loose, modelId: null, widthMm: FIRST_MM, count: Math.min(MOST_DECORATORS, EACH * clusters) }
                : null,
            })
          }
        />
        {decorators ? (
          <>
            <PartPick label="Decorator" part={decorators} basis={basis} onChange={put} />
            <View className="flex-row items-end gap-3">
              <CountField
                label="How many decorators"
                of="decorators"
                most={MOST_DECORATORS}
                value={decorators.count}
                onChange={(count) => put({ count })}
              />
              <MmField
                label="Width of decorators"
                value={decorators.widthMm}
                width
                basis={basis}
                onChange={(widthMm) => put({ widthMm })}
              />
            </View>
            {packed && nests !== null ? (
              <Words role="status">
                {hollowsText(
                  { nests, count: decorators.count },
                  { widthMm: decorators.widthMm, widestMm: packed.gaps[0]?.widthMm ?? null },
                  basis.lengths.fine,
                )}
              </Words>
            ) : null}
            {nests !== null && nests > 0 && nests !== decorators.count ? (
              <Button
                title={`Put one in each: ${nests}`}
                onPress={() => put({ count: Math.min(MOST_DECORATORS, nests) })}
              />
            ) : null}
          </>
        ) : null}
      </View>
    </Card>
  );
}
