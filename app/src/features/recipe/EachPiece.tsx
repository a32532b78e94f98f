import type { PieceRecord } from '@leggero/contract';
import { lengthOf } from '@leggero/core/recipe';
import { View } from 'react-native';

import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { priceByPiece, type Pricing } from '@/views/eventCost';
import { moneyText } from '@/wording/money';
import { pieceTitle } from '@/wording/pieces';
import { perLengthText } from '@/wording/recipe';

import type { EventWork } from '@/parts/useEventWork';

interface EachPieceProps {
  pieces: readonly PieceRecord[];
  work: EventWork;
  pricing: Pricing;
  currency: string;
  priceMinor: number;
}

/** The price parted among the pieces, and by the foot of those that are sold by their length. */
export function EachPiece({ pieces, work, pricing, currency, priceMinor }: EachPieceProps) {
  const { works, basis } = work;
  const prices = priceByPiece(works, priceMinor, pricing);
  const money = (minor: number) => moneyText(minor, currency);
  return (
    <Card title="By piece">
      <View role="list" className="gap-2">
        {works.map((own, i) => {
          const piece = pieces.find(({ id }) => id === own.piece);
          const length = lengthOf([own]);
          return piece ? (
            <View key={piece.id} role="listitem">
              <View className="flex-row justify-between gap-3">
                <Words className="flex-1">{pieceTitle(piece)}</Words>
                <Words look="strong" className="tabular-nums">
                  {money(prices[i]!)}
                </Words>
              </View>
              {length ? (
                <Words look="quiet">{perLengthText(prices[i]!, length, { unit: basis.lengths.unit, money })}</Words>
              ) : null}
            </View>
          ) : null;
        })}
      </View>
      <Words look="quiet" className="mt-2">
        Travel, hire, extras and margin are shared as balloons and work are.
      </Words>
    </Card>
  );
}
