import type { PieceBase } from '@leggero/contract';
import { WIND_FORCES } from '@leggero/core';
import { baseWeight, type SideView } from '@leggero/core/building';
import { View } from 'react-native';

import { Cautions } from '@/parts/Cautions';
import { MmField } from '@/parts/piece/Fields';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Card } from '@/ui/Card';
import { Labelled } from '@/ui/Field';
import { PickChips } from '@/ui/PickChips';
import { Words } from '@/ui/Words';
import { baseReasonText, baseWeightText, WIND_WORDS } from '@/wording/baseWeight';

import { baseOf } from './base';

const INDOORS = 'indoors';
const WINDS = [
  { value: INDOORS, title: 'Indoors' },
  ...WIND_FORCES.map((force) => ({ value: String(force), title: WIND_WORDS[force].title })),
];

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
  const { lengths, event, knowledge } = basis;
  const { trade } = knowledge;
  const base = baseOf(design, basis);
  const indoors = base.wind === null;
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
        <Labelled label="Wind">
          <PickChips
            label="Wind"
            options={WINDS}
            value={base.wind === null ? INDOORS : String(base.wind)}
            onChange={(value) =>
              change({ base: { ...base, wind: WIND_FORCES.find((force) => String(force) === value) ?? null } })
            }
          />
        </Labelled>
        {event?.outdoors && indoors ? (
          <Words look="error" role="alert">
            The event is outdoors: choose the strongest wind that it shall stand in.
          </Words>
        ) : null}
        {weight.ok ? (
          <View className="gap-1">
            <Words look="strong" role="status">
              {baseWeightText(weight.value, lengths.unit)}
            </Words>
            {feet === 2 ? <Words>Half of that at each foot.</Words> : null}
            <Words look="quiet">{baseReasonText(weight.value, { side, wind: base.wind }, lengths.text)}</Words>
          </View>
        ) : null}
        <Words look="quiet">
          {indoors
            ? 'An estimate for draughts alone: it does not hold a child who leans on the piece.'
            : 'An estimate, not a proof: ask whoever is responsible on site, and take it in when the wind grows.'}
        </Words>
        <Cautions names={['heights']} />
      </View>
    </Card>
  );
}
