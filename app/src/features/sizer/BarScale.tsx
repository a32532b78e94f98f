import type { SizerRecord } from '@leggero/contract';
import type { PrintedScale } from '@leggero/core';

import { write } from '@/data/outbox';
import { measuredByBars } from '@/parts/measuredByBars';
import { BarFields } from '@/parts/BarFields';

/** A printed sizer measured by its scale bars: every hole is corrected at once, without a reprint. */
export function BarScale({
  sizer,
  onDone,
}: {
  sizer: SizerRecord;
  /** The measurements made, by hole. */
  onDone: (ids: Record<string, string>) => void;
}) {
  const correct = (scale: PrintedScale) => {
    const measured = measuredByBars(sizer.holes, scale);
    write(...measured);
    onDone(Object.fromEntries(measured.map(({ row }) => [row.holeId, row.id])));
  };
  return <BarFields action="Correct every hole" onScale={correct} />;
}
