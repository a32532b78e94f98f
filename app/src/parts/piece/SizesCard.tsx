import type { PieceRecord } from '@leggero/contract';
import { alikeSizes } from '@leggero/core/linking';
import { Pressable, View } from 'react-native';
import Svg, { Circle } from 'react-native-svg';

import { useFixings } from '@/data/records';
import { useTrade } from '@/data/trade';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { balloonName } from '@/views/modelView';
import { closingText } from '@/wording/linking';
import { listed } from '@/wording/trade';

import { fillsOf } from './sizeTarget';
import type { PieceSize } from './sizes';
import { modelOf } from './material';
import type { PieceBasis } from './useBasis';

/** A part's balloon as decorators say it. */
function partName(part: PieceSize['part'], basis: PieceBasis): string {
  const model = modelOf(part, basis);
  return model ? balloonName(model) : '';
}

interface SizesCardProps {
  piece: PieceRecord;
  sizes: readonly PieceSize[];
  basis: PieceBasis;
  chosen: string | null;
  onChoose: (key: string) => void;
}

/** The sizes of a piece as they are filled: how many of each, how it closes, and what looks like it. A tap asks for its target. */
export function SizesCard({ piece, sizes, basis, chosen, onChoose }: SizesCardProps) {
  const trade = useTrade();
  const fixings = useFixings()?.(piece.id) ?? [];
  const fills = fillsOf(sizes, fixings, basis);
  const { text, fine } = basis.lengths;
  const alike = alikeSizes(sizes, trade);
  const titleOf = (key: string) => sizes.find((size) => size.key === key)?.title ?? key;
  return (
    <Card title="Sizes">
      <View className="gap-1">
        {sizes.map((size) => {
          const fillMm = fills.get(size.key)!;
          const like = alike
            .filter(({ first, second }) => first === size.key || second === size.key)
            .map(({ first, second }) => titleOf(first === size.key ? second : first).toLowerCase());
          return (
            <Pressable
              key={size.key}
              role="button"
              aria-pressed={chosen === size.key}
              onPress={() => onChoose(size.key)}
              className={
                'min-h-[56px] flex-row items-center gap-3 rounded-card border px-3 py-1 ' +
                `${chosen === size.key ? 'border-pine bg-pine-wash' : 'border-transparent active:bg-sunk'}`
              }
            >
              <Svg width={26} height={26} viewBox="-13 -13 26 26" aria-hidden>
                <Circle r={12} fill={size.part.colourHex} />
              </Svg>
              <View className="flex-1">
                <Words look="strong">{size.title}</Words>
                {!size.snap && modelOf(size.part, basis) ? (
                  <Words look="quiet">{partName(size.part, basis)}</Words>
                ) : null}
                {size.snap ? (
                  <Words look={size.snap.ofGive > 1 ? 'error' : 'quiet'}>
                    {closingText(size.snap, size.snap.around, fine)}
                  </Words>
                ) : null}
                {text(fillMm) === text(size.widthMm) ? null : (
                  <Words look="quiet">{`${text(size.widthMm)} as drawn`}</Words>
                )}
                {like.length > 0 ? <Words look="quiet">{`Looks like ${listed(like)}: keep apart`}</Words> : null}
              </View>
              <Words look="quiet">{`${size.count} ×`}</Words>
              <Words look="figure" className="text-[22px] leading-7">
                {text(fillMm)}
              </Words>
            </Pressable>
          );
        })}
      </View>
    </Card>
  );
}
