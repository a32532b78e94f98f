import type { FinishedGarland } from '@leggero/contract';
import { useState } from 'react';

import { write } from '@/data/outbox';
import { newId, nowUtc } from '@/device/id';
import { FinishedForm } from '@/parts/built/FinishedForm';
import type { Softness } from '@/parts/piece/useSoftness';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Sheet } from '@/ui/Sheet';
import { UndoLine } from '@/ui/UndoLine';
import { Words } from '@/ui/Words';
import type { Lengths } from '@/views/lengths';
import { finishedText } from '@/wording/garlandLength';

interface FinishedCardProps {
  softness: Softness;
  /** What is tied along it, as it would be kept. */
  made: Pick<FinishedGarland, 'kinds' | 'clusters'>;
  lengths: Lengths;
}

/** Of fewer no length follows. */
const LEAST_CLUSTERS = 2;

/** How long garlands of this studio really came out: what their packing learns from. */
export function FinishedCard({ softness, made, lengths }: FinishedCardProps) {
  const [open, setOpen] = useState(false);
  return (
    <Card title="How long it really comes out">
      <Words>{finishedText(softness.finished.length)}</Words>
      {softness.newestId === null ? null : (
        <UndoLine
          sentence="Was the last one misread?"
          title="Take it back"
          onUndo={() => write({ remove: 'finishedGarland', id: softness.newestId! })}
        />
      )}
      {made.clusters >= LEAST_CLUSTERS ? (
        <Button title="Measure it once it is finished" onPress={() => setOpen(true)} />
      ) : (
        <Words look="quiet">From two clusters on a garland can be measured.</Words>
      )}
      <Sheet title="A finished garland" open={open} onClose={() => setOpen(false)}>
        <FinishedForm
          {...{ made, lengths }}
          onKeep={(lengthMm) => {
            write({ put: 'finishedGarland', row: { id: newId(), ...made, lengthMm, takenAt: nowUtc() } });
            setOpen(false);
          }}
        />
      </Sheet>
    </Card>
  );
}
