import type { StackRecord } from '@leggero/contract';
import { learnPacking, type Stack } from '@leggero/core/building';
import { useState } from 'react';
import { View } from 'react-native';

import { write } from '@/data/outbox';
import { newId, nowUtc } from '@/device/id';
import { LengthField } from '@/parts/LengthField';
import { packingOf } from '@/parts/piece/material';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Sheet } from '@/ui/Sheet';
import { Words } from '@/ui/Words';
import { packingText } from '@/wording/building';

interface PackingCardProps {
  stack: Stack;
  /** The topmost layer is a topper, which is not measured with the others. */
  topped: boolean;
  basis: PieceBasis;
}

/** How high layers stand in this studio: from memory, or learned from stacks that stood and were measured. */
export function PackingCard({ stack, topped, basis }: PackingCardProps) {
  const [open, setOpen] = useState(false);
  const layers = (topped ? stack.layers.slice(0, -1) : stack.layers).map(({ count, widthMm }) => ({ count, widthMm }));
  return (
    <Card title="How high it really stands">
      <View className="gap-2">
        <Words>{packingText(packingOf(basis), stack.touchingMm, basis.lengths.fine)}</Words>
        {layers.length > 1 ? (
          <Button title="Measure this one once it stands" onPress={() => setOpen(true)} />
        ) : (
          <Words look="quiet">From two layers on a stack can be measured.</Words>
        )}
      </View>
      <Sheet title="A stack that stands" open={open} onClose={() => setOpen(false)}>
        <StackForm layers={layers} basis={basis} onDone={() => setOpen(false)} />
      </Sheet>
    </Card>
  );
}

interface StackFormProps {
  layers: StackRecord['layers'];
  basis: PieceBasis;
  onDone: () => void;
}

function StackForm({ layers, basis: { lengths, knowledge }, onDone }: StackFormProps) {
  const [heightMm, setHeightMm] = useState<number | null>(null);
  const [asked, setAsked] = useState(false);
  const learned = heightMm === null ? null : learnPacking({ stacks: [{ layers, heightMm }], trade: knowledge.trade });
  const problem = learned && !learned.ok ? learned.problem : null;
  const keep = () => {
    setAsked(true);
    if (heightMm === null || problem) return;
    write({ put: 'stack', row: { id: newId(), layers, heightMm, takenAt: nowUtc() } });
    onDone();
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
