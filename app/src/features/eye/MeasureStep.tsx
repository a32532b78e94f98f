import type { EyeCheckRecord, ShelfModel } from '@leggero/contract';
import { useState } from 'react';
import { View } from 'react-native';

import { useLengths } from '@/data/lengths';
import { write } from '@/data/outbox';
import { Button } from '@/ui/Button';
import { LengthEntry } from '@/parts/LengthEntry';
import { Segmented } from '@/ui/Segmented';
import { Words } from '@/ui/Words';

/** The next balloon to measure, in the order they were filled. */
export function MeasureStep({ check, model }: { check: EyeCheckRecord; model: ShelfModel }) {
  const lengths = useLengths();
  const [way, setWay] = useState<'across' | 'around'>('around');
  const [typedMm, setTypedMm] = useState<number | null>(null);
  const next = check.balloons.find(({ widthMm }) => widthMm === null);
  if (!next) return null;
  const widthMm = typedMm ?? check.targetMm;
  const possible = widthMm > 0.2 * model.nominalMm && widthMm < 1.6 * model.nominalMm;
  const keep = () => {
    write({ change: 'eyeBalloon', id: next.id, by: { widthMm } });
    setTypedMm(null);
  };
  const side = check.mode === 'pairs' ? (next.position % 2 === 0 ? ', left' : ', right') : '';
  const number = check.mode === 'pairs' ? Math.floor(next.position / 2) + 1 : next.position + 1;
  return (
    <View className="gap-4">
      <View role="status" className="flex-row items-baseline justify-center gap-2">
        <Words look="quiet">Number</Words>
        <Words look="figure" className="text-[44px] leading-[52px]">
          {number}
        </Words>
        <Words look="quiet">
          {`${side.replace(', ', '')} ${check.balloons.filter((each) => each.widthMm !== null).length} of ` +
            `${check.balloons.length} measured`}
        </Words>
      </View>
      <Segmented
        label="Measured"
        options={[
          { value: 'around', title: 'Tape around' },
          { value: 'across', title: 'Caliper across' },
        ]}
        value={way}
        onChange={setWay}
      />
      <LengthEntry
        key={way}
        label={way === 'around' ? 'Tape around' : 'Width'}
        value={widthMm}
        least={0.3 * model.nominalMm}
        most={1.3 * model.nominalMm}
        lengths={lengths}
        around={way === 'around'}
        error={possible ? undefined : 'This balloon cannot be that wide. Check the unit.'}
        onChange={setTypedMm}
      />
      {way === 'around' ? <Words look="quiet">{`That is ${lengths.text(widthMm)} across.`}</Words> : null}
      <Button title="Keep this width" look="primary" tall disabled={!possible} onPress={keep} />
    </View>
  );
}
