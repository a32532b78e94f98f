import type { PieceRecord } from '@leggero/contract';
import { alikeSizes } from '@leggero/core/linking';
import { router } from 'expo-router';
import { Pressable, View } from 'react-native';
import Svg, { Circle } from 'react-native-svg';

import { bestHole } from '@/api/holes';
import { newId, nowUtc } from '@/api/id';
import { useCommand } from '@/api/queries';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';
import { closingText } from '@/wording/linking';
import { listed } from '@/wording/trade';

import type { PieceSize } from './sizes';
import { modelOf, nominalOf, type Workroom } from './useWorkroom';

interface SizesCardProps {
  sizes: readonly PieceSize[];
  workroom: Workroom;
  chosen: string | null;
  onChoose: (key: string) => void;
}

/** The sizes of a piece: how many of each, how it closes, and what looks like it. A tap asks for its target. */
export function SizesCard({ sizes, workroom, chosen, onChoose }: SizesCardProps) {
  const { text } = workroom.lengths;
  const alike = alikeSizes(sizes);
  const titleOf = (key: string) => sizes.find((size) => size.key === key)?.title ?? key;
  return (
    <Card title="Sizes">
      <View className="gap-1">
        {sizes.map((size) => {
          const like = alike
            .filter(({ first, second }) => first === size.key || second === size.key)
            .map(({ first, second }) => titleOf(first === size.key ? second : first).toLowerCase());
          return (
            <Pressable
              key={size.key}
              role="button"
              aria-pressed={chosen === size.key}
              aria-label={`${size.title}, ${size.count} of ${text(size.widthMm)}: show its target`}
              onPress={() => onChoose(size.key)}
              className={`min-h-[56px] flex-row items-center gap-3 rounded-card border px-3 py-1 ${chosen === size.key ? 'border-pine bg-pine-wash' : 'border-transparent active:bg-sunk'}`}
            >
              <Svg width={26} height={26} viewBox="-13 -13 26 26" aria-hidden>
                <Circle r={12} fill={size.part.colourHex} />
              </Svg>
              <View className="flex-1">
                <Words look="strong">{size.title}</Words>
                {size.snap ? (
                  <Words look={size.snap.ofGive > 1 ? 'error' : 'quiet'}>
                    {closingText(size.snap, size.snap.around)}
                  </Words>
                ) : null}
                {like.length > 0 ? (
                  <Words look="quiet">{`Looks like ${listed(like)}: keep apart`}</Words>
                ) : null}
              </View>
              <Words look="quiet">{`${size.count} ×`}</Words>
              <Words look="figure" className="text-[22px] leading-7">
                {text(size.widthMm)}
              </Words>
            </Pressable>
          );
        })}
      </View>
    </Card>
  );
}

interface CheckCardProps {
  piece: PieceRecord;
  sizes: readonly PieceSize[];
  workroom: Workroom;
}

/** A batch of checks holds so many at most. */
const MOST_IN_CHECK = 1000;

/** Every balloon of a piece is checked, not a sample: a run with one part for each size. */
export function CheckCard({ piece, sizes, workroom }: CheckCardProps) {
  const send = useCommand();
  const known = sizes.filter(({ part, count }) => modelOf(part, workroom) && count > 0);
  const inOrder = [...piece.checks].sort((a, b) => a.startedAt.localeCompare(b.startedAt));
  const open = inOrder.filter(({ size, results }) => results.length < size);
  const left = open.reduce((sum, { size, results }) => sum + size - results.length, 0);
  const start = () => {
    const now = Date.parse(nowUtc());
    const ids = known.map((size, i) => {
      // A moment apart: they are done in this order.
      const startedAt = new Date(now + i).toISOString();
      const id = newId();
      const hole = bestHole(workroom.sizers, {
        targetMm: size.widthMm,
        toleranceMm: size.toleranceMm,
        nominalMm: nominalOf(size.part, workroom),
      });
      const { id: holeId, widthMm: holeMm } = hole?.choice.hole ?? { id: null, widthMm: null };
      send({
        name: 'createCheck',
        body: {
          id, modelId: size.part.modelId!, tierName: size.title, targetMm: size.widthMm, toleranceMm: size.toleranceMm, size: Math.min(MOST_IN_CHECK, size.count),
          holeId, holeMm, pieceId: piece.id, layer: size.key, startedAt,
        },
      }); // prettier-ignore
      return { id, modelId: size.part.modelId! };
    });
    const [first] = ids;
    if (first) router.navigate(`/shelf/${first.modelId}/check/${first.id}`);
  };
  const total = known.reduce((sum, { count }) => sum + count, 0);
  return (
    <Card title="Check every balloon">
      <View className="gap-3">
        <Words look="quiet">
          {known.length < sizes.length
            ? 'Choose a balloon of the shelf for every size: those without one are not checked.'
            : `Linking work is checked balloon by balloon, not by a sample: all ${total}, size by size.`}
        </Words>
        {open[0] ? (
          <Button
            title={`Go on checking: ${left} left`}
            tall
            onPress={() => router.navigate(`/shelf/${open[0]!.modelId}/check/${open[0]!.id}`)}
          />
        ) : null}
        <Button
          title={piece.checks.length > 0 ? 'Check anew' : 'Start checking'}
          tall
          disabled={known.length === 0}
          onPress={start}
        />
      </View>
    </Card>
  );
}
