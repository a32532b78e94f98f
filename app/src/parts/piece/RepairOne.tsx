import type { EventRecord, PieceRecord } from '@leggero/contract';
import Wrench from 'lucide-react-native/icons/wrench';
import { useState } from 'react';
import { View } from 'react-native';

import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';

import { RepairForm } from './RepairForm';
import type { PieceSize } from './sizes';
import type { PieceBasis } from './useBasis';

export interface RepairOneProps {
  piece: PieceRecord;
  size: PieceSize;
  event: EventRecord;
  /** What its like were filled to, mm. */
  fillMm: number;
  basis: PieceBasis;
}

/** The way from a balloon of a piece to a new one in its place. */
export function RepairOne(props: RepairOneProps) {
  const [open, setOpen] = useState(false);
  const { size, event } = props;
  return (
    <View className="mt-3">
      <Button
        title="One of these failed"
        icon={Wrench}
        look={event.state === 'up' ? 'primary' : 'secondary'}
        tall={event.state === 'up'}
        onPress={() => setOpen(true)}
      />
      <Sheet title={`One anew: ${size.title}`} open={open} onClose={() => setOpen(false)}>
        <RepairForm {...props} onDone={() => setOpen(false)} />
      </Sheet>
    </View>
  );
}
