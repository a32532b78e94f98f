import type { PieceRecord } from '@leggero/contract';
import { View } from 'react-native';

import { useFixings } from '@/data/records';
import { Card } from '@/ui/Card';
import { LengthFigure } from '../LengthFigure';
import { Words } from '@/ui/Words';
import { ORIGIN_WORDS } from '@/wording/trade';

import type { PieceSize } from './sizes';
import { FixedTarget } from './FixedTarget';
import { RepairOne } from './RepairOne';
import { fillsOf, fixingOf, targetFor } from './sizeTarget';
import { TargetTools } from './TargetTools';
import type { PieceBasis } from './useBasis';

interface TargetCardProps {
  piece: PieceRecord;
  size: PieceSize;
  basis: PieceBasis;
  /** Linked work closes only with round bodies; layers of a column bear a little more. */
  shape?: 'linked' | 'classic';
}

/** What one size is filled to, and how to hit it. */
export function TargetCard({ piece, size, basis, shape = 'linked' }: TargetCardProps) {
  const { lengths, event } = basis;
  const { toleranceMm } = size;
  const found = targetFor(size, basis);
  // Another room or some hours make it another width than the one wanted where it is shown.
  const fixings = useFixings()?.(piece.id) ?? [];
  const fixed = fixingOf(size, fixings);
  const widthMm = fillsOf([size], fixings, basis).get(size.key)!;
  const dose = fixed ? fixed.dose : (found?.dose ?? null);
  return (
    <Card title={size.title}>
      <View
        role="status"
        aria-label={`${size.title}: fill to ${lengths.text(widthMm)}, ±${lengths.bare(toleranceMm)}`}
        className="flex-row items-center gap-3"
      >
        <LengthFigure parts={lengths.parts(widthMm)} size={56} />
        <View className="flex-1">
          <Words>{`${lengths.unit} across, ${lengths.eitherWay(toleranceMm)}`}</Words>
          {found?.heldMm || Math.abs(widthMm - size.widthMm) < basis.studio.stepMm / 2 ? null : (
            <Words look="quiet">{`so that it is ${lengths.text(size.widthMm)} at the opening`}</Words>
          )}
          <Words look="quiet">{found ? ORIGIN_WORDS[found.origin] : 'choose its balloon, and doses follow'}</Words>
        </View>
      </View>
      <TargetTools {...{ size, widthMm, dose, basis }} kind={found?.kind ?? 'hand'} />
      {found ? <FixedTarget piece={piece} size={size} fixed={fixed} now={found} basis={basis} /> : null}
      {event ? <RepairOne key={size.key} {...{ piece, size, event, basis }} fillMm={widthMm} /> : null}
      {found?.heldMm ? (
        <Words look="error" role="alert" className="mt-2">
          {`This balloon is held at ${lengths.text(found.heldMm)}: wider it is no longer round, and the piece ` +
            `${shape === 'linked' ? 'does not close' : 'does not stand'} as drawn. Take a larger nominal.`}
        </Words>
      ) : null}
      {found?.cautions.some(({ code }) => code === 'nominal-too-large') ? (
        <Words look="error" className="mt-2">
          Under the smallest useful width of this balloon: take a smaller nominal.
        </Words>
      ) : null}
    </Card>
  );
}
