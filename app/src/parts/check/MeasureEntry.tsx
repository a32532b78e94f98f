import { useState } from 'react';
import { View } from 'react-native';

import type { Lengths } from '@/views/lengths';
import { Button } from '@/ui/Button';
import { LengthEntry } from '@/parts/LengthEntry';

interface MeasureEntryProps {
  targetMm: number;
  lengths: Lengths;
  onKeep: (widthMm: number) => void;
  onBack: () => void;
}

/** The width of this balloon instead of an answer at the hole. */
export function MeasureEntry({ targetMm, lengths, onKeep, onBack }: MeasureEntryProps) {
  const [widthMm, setWidthMm] = useState(targetMm);
  const possible = widthMm > 0 && widthMm < 2 * targetMm;
  const keep = () => {
    onKeep(widthMm);
    setWidthMm(targetMm);
  };
  return (
    <View className="gap-3">
      <LengthEntry
        label="Width"
        value={widthMm}
        least={0.3 * targetMm}
        most={2 * targetMm}
        lengths={lengths}
        error={possible ? undefined : 'This balloon cannot be that wide. Check the unit.'}
        onChange={setWidthMm}
      />
      <View className="flex-row gap-3">
        <Button title="Answer at the hole" className="flex-1" tall onPress={onBack} />
        <Button title="Keep this width" look="primary" className="flex-1" tall disabled={!possible} onPress={keep} />
      </View>
    </View>
  );
}
