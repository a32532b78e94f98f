import type { PieceRecord } from '@leggero/contract';
import { router } from 'expo-router';
import { View } from 'react-native';

import { bestHole } from '@/views/holes';
import { newId, nowUtc } from '@/device/id';
import { write } from '@/data/outbox';
import { useFixings } from '@/data/records';
import { useTrade } from '@/data/trade';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Words } from '@/ui/Words';

import { fillsOf } from './sizeTarget';
import type { PieceSize } from './sizes';
import { modelOf, nominalOf } from './material';
import type { PieceBasis } from './useBasis';

interface CheckCardProps {
  piece: PieceRecord;
  sizes: readonly PieceSize[];
  basis: PieceBasis;
}

/** A batch of checks holds so many at most. */
const MOST_IN_CHECK = 1000;

/** Every balloon of a piece is checked, not a sample: a run with one part for each size. */
export function CheckCard({ piece, sizes, basis }: CheckCardProps) {
  const trade = useTrade();
  const fixings = useFixings()?.(piece.id) ?? [];
  const known = sizes.filter(({ part, count }) => modelOf(part, basis) && count > 0);
  const inOrder = [...piece.checks].sort(
    (a, b) => a.startedAt.localeCompare(b.startedAt) || (a.place ?? 0) - (b.place ?? 0),
  );
  const open = inOrder.filter(({ size, results }) => results.length < size);
  const left = open.reduce((sum, { size, results }) => sum + size - results.length, 0);
  const start = () => {
    const startedAt = nowUtc();
    const runId = newId();
    // Checked where they are made, before the venue and the hours change them.
    const fills = fillsOf(known, fixings, basis);
    const checks = known.map((size, place) => {
      const targetMm = fills.get(size.key)!;
      const hole = bestHole(
        basis.sizers,
        {
          targetMm,
          toleranceMm: size.toleranceMm,
          nominalMm: nominalOf(size.part, basis),
        },
        trade,
      );
      const { id: holeId, widthMm: holeMm } = hole?.choice.hole ?? { id: null, widthMm: null };
      return {
        put: 'check' as const,
        row: {
          id: newId(),
          modelId: size.part.modelId!,
          tierName: size.title,
          targetMm,
          toleranceMm: size.toleranceMm,
          size: Math.min(MOST_IN_CHECK, size.count),
          holeId,
          holeMm,
          pieceId: piece.id,
          layer: size.key,
          runId,
          place,
          startedAt,
        },
      };
    });
    write({ put: 'run', row: { id: runId, pieceId: piece.id, startedAt } }, ...checks);
    const first = checks[0]?.row;
    if (first) router.navigate(`/shelf/${first.modelId}/check/${first.id}`);
  };
  const total = known.reduce((sum, { count }) => sum + count, 0);
  return (
    <Card title="Check every balloon">
      <View className="gap-3">
        <Words look="quiet">
          {known.length < sizes.length
            ? 'Choose a balloon of the shelf for every size: those without one are not checked.'
            : `Every one of its ${total} balloons is checked, size by size, and not a sample of them.`}
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
