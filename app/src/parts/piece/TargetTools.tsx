import { circumferenceMm, type InflatorKind } from '@leggero/core';
import { View } from 'react-native';

import { useTrade } from '@/data/trade';
import { Tool } from '@/ui/Tool';
import { bestHole } from '@/views/holes';
import { doseText, doseUnit } from '@/wording/trade';

import { nominalOf } from './material';
import type { PieceSize } from './sizes';
import type { PieceBasis } from './useBasis';

interface TargetToolsProps {
  size: PieceSize;
  /** What it is filled to, mm. */
  widthMm: number;
  /** Strokes or seconds; null where no reading tells them. */
  dose: number | null;
  kind: InflatorKind;
  basis: PieceBasis;
}

/** The ways to hit a width: the hole, the dose, the tape. */
export function TargetTools({ size, widthMm, dose, kind, basis: { sizers, lengths, knowledge } }: TargetToolsProps) {
  const trade = useTrade();
  const nominalMm = nominalOf(size.part, { knowledge });
  const hole = bestHole(sizers, { targetMm: widthMm, toleranceMm: size.toleranceMm, nominalMm }, trade);
  return (
    <View className="mt-2 flex-row gap-2">
      <Tool
        title="Sizer hole"
        figure={hole ? hole.choice.hole.label : '–'}
        note={
          hole
            ? hole.choice.how === 'gap'
              ? `leave ${lengths.bare(hole.choice.gapMm)} gap`
              : 'just passes'
            : 'none is large enough'
        }
      />
      <Tool
        title="Dose"
        figure={dose === null ? '–' : doseText(dose, kind)}
        note={dose === null ? 'after a reading' : doseUnit(kind)}
      />
      <Tool
        title="Tape"
        figure={lengths.bare(circumferenceMm({ widthMm }))}
        note={lengths.unit === 'in' ? 'inches' : 'cm'}
      />
    </View>
  );
}
