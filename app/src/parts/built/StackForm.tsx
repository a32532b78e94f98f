import type { StackRecord } from '@leggero/contract';
import { learnPacking } from '@leggero/core/building';
import { useState } from 'react';
import { View } from 'react-native';

import { LengthField } from '@/parts/LengthField';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Button } from '@/ui/Button';
import { Words } from '@/ui/Words';

interface StackFormProps {
  layers: StackRecord['layers'];
  basis: Pick<PieceBasis, 'lengths' | 'knowledge'>;
  onKeep: (heightMm: number) => void;
}

/** How high layers stand that were put up: from two of them on their packing is learned from it. */
export function StackForm({ layers, basis: { lengths, knowledge }, onKeep }: StackFormProps) {
  const [heightMm, setHeightMm] = useState<number | null>(null);
  const [asked, setAsked] = useState(false);
  const learned = heightMm === null ? null : learnPacking({ stacks: [{ layers, heightMm }], trade: knowledge.trade });
  const problem = learned && !learned.ok ? learned.problem : null;
  const keep = () => {
    setAsked(true);
    if (heightMm !== null && !problem) onKeep(heightMm);
  };
  const wrong = () => {
    if (heightMm === null) return asked ? 'How high its layers stand.' : undefined;
    if (problem?.code !== 'bad-height') return undefined;
    const { leastMm, mostMm } = problem.detail;
    return `These layers stand ${lengths.long(leastMm)} to ${lengths.long(mostMm)} high.`;
  };
  return (
    <View className="gap-3">
      <Words>
        Build it as drawn, press the layers down, and measure straight up from the lowest point of the lowest layer to
        the highest of the topmost. Stand and topper do not count.
      </Words>
      <LengthField
        label="Height of its layers"
        long
        value={heightMm}
        lengths={lengths}
        error={wrong()}
        onChange={setHeightMm}
      />
      <Button title="Keep this measure" look="primary" tall onPress={keep} />
    </View>
  );
}
