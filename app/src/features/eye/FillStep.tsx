import type { EyeCheckRecord } from '@leggero/contract';
import { FEWEST_BY_EYE } from '@leggero/core/eye';
import { View } from 'react-native';

import { newId, nowUtc } from '@/device/id';
import { useLengths } from '@/data/lengths';
import { write } from '@/data/outbox';
import { Button } from '@/ui/Button';
import { LengthFigure } from '@/parts/LengthFigure';
import { Words } from '@/ui/Words';
import { FILLING_CAUTION } from '@/wording/cautions';

interface BodyProps {
  check: EyeCheckRecord;
  filled: number;
  total: number;
  who: string;
}

/** The balloon to fill now. No picture to scale: the eye is on its own. */
export function FillStep({ check: { mode, targetMm, size }, filled, total, who }: BodyProps) {
  const lengths = useLengths();
  const place = mode === 'two' && filled >= size ? filled - size : filled;
  const of = mode === 'two' ? size : total;
  return (
    <View className="gap-4">
      <View role="status" className="flex-row items-baseline justify-center gap-2">
        <Words look="quiet">{mode === 'pairs' ? 'Pair' : `${who}, balloon`}</Words>
        <Words look="figure" className="text-[44px] leading-[52px]">
          {mode === 'pairs' ? place / 2 + 1 : place + 1}
        </Words>
        <Words look="quiet">{`of ${mode === 'pairs' ? of / 2 : of}`}</Words>
      </View>
      <View className="items-center">
        <Words>Fill by eye to</Words>
        <LengthFigure parts={lengths.parts(targetMm)} size={96} />
        <Words look="quiet">{lengths.unit === 'in' ? 'inches across' : 'cm across'}</Words>
      </View>
      <Words className="text-center">
        {mode === 'pairs'
          ? 'Tie them to each other, write the number on both, left and right, and lay them by in order.'
          : 'Tie it, write the number on it and lay it by in order. No gauge, no balloon to compare with.'}
      </Words>
      <View className="flex-row flex-wrap justify-center gap-1" aria-hidden>
        {Array.from({ length: total }, (_, i) => (
          <View
            key={i}
            className={
              `h-2 w-5 rounded-full ${i < filled ? 'bg-pine' : 'bg-sunk'} ` +
              `${mode === 'two' && i === size ? 'ml-4' : ''}`
            }
          />
        ))}
      </View>
      <Words look="quiet" className="text-center">
        {FILLING_CAUTION}
      </Words>
    </View>
  );
}

interface ActionsProps {
  check: EyeCheckRecord;
  filled: number;
  onMeasure: () => void;
}

/** The tap that keeps a balloon filled, and the way to the measuring once there are enough. */
export function FillActions({ check, filled, onMeasure }: ActionsProps) {
  const taken = new Set(check.balloons.map(({ position }) => position));
  const fill = () => {
    const count = check.mode === 'pairs' ? 2 : 1;
    let position = 0;
    for (let made = 0; made < count; position += 1) {
      if (taken.has(position)) continue;
      write({
        put: 'eyeBalloon',
        row: { id: newId(), eyeCheckId: check.id, position, widthMm: null, filledAt: nowUtc() },
      });
      made += 1;
    }
  };
  const enough = check.mode === 'two' ? check.size + FEWEST_BY_EYE : FEWEST_BY_EYE;
  return (
    <>
      {filled >= enough ? <Button title="Measure now" tall onPress={onMeasure} /> : null}
      <Button
        title={check.mode === 'pairs' ? 'Both filled' : 'Filled'}
        look="primary"
        tall
        className="flex-1"
        onPress={fill}
      />
    </>
  );
}
