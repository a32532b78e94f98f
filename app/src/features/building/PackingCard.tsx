import type { Stack } from '@leggero/core/building';
import { useState } from 'react';
import { View } from 'react-native';

import { write } from '@/data/outbox';
import { newId, nowUtc } from '@/device/id';
import { StackForm } from '@/parts/built/StackForm';
import { packingOf } from '@/parts/piece/material';
import { measuredLayers } from '@/parts/piece/measuredLayers';
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
  const layers = measuredLayers(stack, topped);
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
        <StackForm
          {...{ layers, basis }}
          onKeep={(heightMm) => {
            write({ put: 'stack', row: { id: newId(), layers, heightMm, takenAt: nowUtc() } });
            setOpen(false);
          }}
        />
      </Sheet>
    </Card>
  );
}
