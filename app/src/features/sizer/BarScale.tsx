import type { SizerRecord } from '@leggero/contract';
import type { PrintedScale } from '@leggero/core';

import { newId, nowUtc } from '@/api/id';
import { useCommand } from '@/api/queries';
import { BarFields } from '@/ui/BarFields';

/** A printed sizer measured by its scale bars: every hole is corrected at once, without a reprint. */
export function BarScale({
  sizer,
  onDone,
}: {
  sizer: SizerRecord;
  /** The measurements made, by hole. */
  onDone: (ids: Record<string, string>) => void;
}) {
  const send = useCommand();
  const correct = ({ across, down }: PrintedScale) => {
    const ids: Record<string, string> = {};
    for (const { id: holeId, widthMm } of sizer.holes) {
      const body = {
        id: newId(),
        holeId,
        acrossMm: widthMm * across,
        downMm: widthMm * down,
        way: 'bar' as const,
        takenAt: nowUtc(),
      };
      ids[holeId] = body.id;
      send({ name: 'createHoleMeasurement', body });
    }
    onDone(ids);
  };
  return <BarFields action="Correct every hole" onScale={correct} />;
}
