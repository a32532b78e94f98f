import type { FixingRecord, PieceRecord } from '@leggero/contract';
import Lock from 'lucide-react-native/icons/lock';
import { View } from 'react-native';

import { write } from '@/data/outbox';
import { newId, nowUtc } from '@/device/id';
import { Button } from '@/ui/Button';
import { Words } from '@/ui/Words';
import { dayText } from '@/wording/day';
import { movedText } from '@/wording/events';

import { hasMoved, type SizeTarget } from './sizeTarget';
import type { PieceSize } from './sizes';
import type { PieceBasis } from './useBasis';

interface FixedTargetProps {
  piece: PieceRecord;
  size: PieceSize;
  /** What it is kept at; undefined while it follows the readings. */
  fixed: FixingRecord | undefined;
  now: SizeTarget;
  basis: PieceBasis;
}

/** Keeps a target as it is, and says what readings have moved since, with a way to take that over. */
export function FixedTarget({ piece, size, fixed, now, basis }: FixedTargetProps) {
  const fix = () =>
    write({
      put: 'fixing',
      row: {
        ...{ id: newId(), pieceId: piece.id, modelId: size.part.modelId!, wantedMm: size.widthMm },
        ...{ fillMm: now.fillMm, dose: now.dose, origin: now.origin, fixedAt: nowUtc() },
      },
    });
  if (!fixed) {
    return (
      <View className="mt-3">
        <Button title="Fix this target" icon={Lock} onPress={fix} />
      </View>
    );
  }
  const follow = () => write({ remove: 'fixing', id: fixed.id });
  const moved = hasMoved(fixed, now, basis);
  return (
    <View className="mt-3 gap-2">
      <Words look="quiet">{`Fixed on ${dayText(fixed.fixedAt)}: readings do not move it.`}</Words>
      {moved ? (
        <Words look="strong" role="alert">
          {movedText(fixed, now, basis.lengths.text)}
        </Words>
      ) : null}
      <View className="flex-row gap-3">
        {moved ? <Button title="Take it over" className="flex-1" onPress={fix} /> : null}
        <Button title="Let it follow readings" className="flex-1" onPress={follow} />
      </View>
    </View>
  );
}
