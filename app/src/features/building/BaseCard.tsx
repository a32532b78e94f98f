import type { PieceBase } from '@leggero/contract';
import { baseWeight, type SideView } from '@leggero/core/building';
import { View } from 'react-native';

import { Cautions } from '@/parts/Cautions';
import { MmField } from '@/parts/piece/Fields';
import { baseOf } from '@/parts/piece/standing';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { baseReasonText, baseWeightText } from '@/wording/baseWeight';

import { WindCaution, WindChoice } from './WindChoice';

interface BaseCardProps {
  design: { base?: PieceBase | undefined };
  /** What it shows to the wind. */
  side: SideView;
  /** What stands on two feet shares it between them. */
  feet?: 1 | 2;
  basis: PieceBasis;
  change: (by: { base: PieceBase }) => void;
}

/** What a piece's base must weigh so that neither wind nor passers-by tip it over. */
export function BaseCard({ design, side, feet = 1, basis, change }: BaseCardProps) {
  const { lengths, knowledge } = basis;
  const { trade } = knowledge;
  const base = baseOf(design, basis);
  const weight = baseWeight({ side, baseMm: base.acrossMm, wind: base.wind, trade });
  return (
    <Card title="What it stands on">
      <View className="gap-3">
        <MmField
          label="Base across"
          hint="The shortest way: of a round plate its width."
          value={base.acrossMm}
          basis={basis}
          error={weight.ok ? undefined : 'On nothing any wind tips it: how wide is its base?'}
          onChange={(acrossMm) => change({ base: { ...base, acrossMm } })}
        />
        <WindChoice wind={base.wind} basis={basis} onChange={(wind) => change({ base: { ...base, wind } })} />
        {weight.ok ? (
          <View className="gap-1">
            <Words look="strong" role="status">
              {baseWeightText(weight.value, lengths.unit)}
            </Words>
            {feet === 2 ? <Words>Half of that at each foot.</Words> : null}
            <Words look="quiet">{baseReasonText(weight.value, { side, wind: base.wind }, lengths.text)}</Words>
          </View>
        ) : null}
        <WindCaution wind={base.wind} />
        <Cautions names={['heights']} />
      </View>
    </Card>
  );
}
