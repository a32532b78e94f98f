import type { HoleLabel } from '@leggero/contract';
import type { PrintedScale } from '@leggero/core';

import { newId, nowUtc } from '@/device/id';

/** What measures every hole of a print at once, by the scale its bars came out at. */
export function measuredByBars(holes: readonly HoleLabel[], { across, down }: PrintedScale) {
  return holes.map(({ id: holeId, widthMm }) => ({
    put: 'holeMeasurement' as const,
    row: {
      id: newId(),
      holeId,
      acrossMm: widthMm * across,
      downMm: widthMm * down,
      way: 'bar' as const,
      takenAt: nowUtc(),
    },
  }));
}
