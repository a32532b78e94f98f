import type { Write } from '@leggero/contract';
import { useState } from 'react';

import { write } from '@/data/outbox';
import { newId, nowUtc } from '@/device/id';
import { Button } from '@/ui/Button';
import { UndoLine } from '@/ui/UndoLine';
import type { SupplyLine } from '@/views/supply';
import { counted } from '@/wording/trade';

/** Takes what an event needs off the shelf, as far as it is there: the ledger says so, and other events see it. */
export function TakeOut({ eventId, lines }: { eventId: string; lines: readonly SupplyLine[] }) {
  const [taken, setTaken] = useState<{ undo: Write[]; balloons: number } | null>(null);
  const there = lines.flatMap(({ model, take, out, promised }) => {
    const count = model ? Math.min(promised.left, Math.max(0, take - out)) : 0;
    return model && count > 0 ? [{ modelId: model.id, count }] : [];
  });
  const balloons = there.reduce((sum, { count }) => sum + count, 0);
  const takeOut = () => {
    const rows = there.map(({ modelId, count }) => {
      return { id: newId(), modelId, eventId, change: 'out' as const, count, at: nowUtc() };
    });
    write(...rows.map((row): Write => ({ put: 'stockEntry', row })));
    setTaken({ undo: rows.map(({ id }) => ({ remove: 'stockEntry', id })), balloons });
  };
  if (taken)
    return (
      <UndoLine
        sentence={`${counted(taken.balloons, 'balloon')} went out for it. What comes back is written down on the balloon’s stock page.`}
        onUndo={() => {
          write(...taken.undo);
          setTaken(null);
        }}
      />
    );
  return balloons > 0 ? (
    <Button title={`Take ${counted(balloons, 'balloon')} off the shelf for it`} tall onPress={takeOut} />
  ) : null;
}
