import type { EventRecord, PieceRecord } from '@leggero/contract';
import { FULLNESS } from '@leggero/core';
import type { Cost } from '@leggero/core/supply';
import { View } from 'react-native';

import { wholeGarland } from '@/parts/piece/garlandPlan';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { eventCost, type Pricing } from '@/views/eventCost';
import { moneyText } from '@/wording/money';
import { differenceText } from '@/wording/recipe';

import type { EventWork } from '@/parts/useEventWork';
import { useSwapped } from './useSwapped';

interface WhatIfProps {
  event: EventRecord;
  pieces: readonly PieceRecord[];
  work: EventWork;
  pricing: Pricing;
  currency: string;
  cost: Cost;
}

/** What the same garlands would come to thinner, or longer. */
export function WhatIf({ event, pieces, work, pricing, currency, cost }: WhatIfProps) {
  const variants = pieces.flatMap(variantsOf);
  const made = useSwapped(
    variants.map(({ piece }) => piece),
    event,
  );
  if (variants.length === 0) return null;
  return (
    <Card title="Thinner, or longer">
      <View role="list" className="gap-2">
        {variants.map(({ piece, how }, i) => {
          const asked = made === 'failed' ? null : made?.[i];
          const own = work.works.find(({ piece: id }) => id === piece.id);
          if (!asked || !own) return null;
          const works = work.works.map((each) => (each === own ? asked.work : each));
          const then = eventCost(works, pricing);
          const balloonsOf = ({ sizes, copies }: typeof own) =>
            copies * sizes.reduce((sum, { count }) => sum + count, 0);
          return then.ok ? (
            <View key={`${piece.id} ${how}`} role="listitem">
              <Words look="strong">{`${piece.name}, ${how}`}</Words>
              <Words look="quiet">
                {differenceText(
                  {
                    balloons: balloonsOf(asked.work) - balloonsOf(own),
                    priceMinor: then.value.priceMinor - cost.priceMinor,
                  },
                  (minor) => moneyText(minor, currency),
                )}
              </Words>
            </View>
          ) : null;
        })}
      </View>
      {made === null ? <Words look="quiet">Working it out…</Words> : null}
    </Card>
  );
}

/** So much less full everywhere, and so many clusters more: a twelfth, at least one. */
const THINNER = 0.5;
const LONGER = 1 / 12;

function variantsOf(piece: PieceRecord): { piece: PieceRecord; how: string }[] {
  const { design } = piece;
  if (design.form !== 'garland') return [];
  const { fullness, clusters } = wholeGarland(design);
  const thin = fullness.map((full) => Math.max(FULLNESS.least, full - THINNER));
  const more = Math.max(1, Math.round(clusters * LONGER));
  return [
    ...(thin.some((full, i) => full < fullness[i]!)
      ? [{ piece: { ...piece, design: { ...design, fullness: thin } }, how: 'half a layer thinner' }]
      : []),
    ...(design.strip
      ? []
      : [
          {
            piece: { ...piece, design: { ...design, clusters: clusters + more } },
            how: `${more === 1 ? 'a cluster' : `${more} clusters`} longer`,
          },
        ]),
  ];
}
