import type { ModelRecord, SizerRecord } from '@leggero/contract';
import { circumferenceMm, type Trade } from '@leggero/core';
import type { Batch } from '@leggero/core/recipe';

import { targetsFor, type SizeTarget } from '@/parts/piece/sizeTarget';
import type { PieceBasis } from '@/parts/piece/useBasis';
import { bestHole } from '@/views/holes';
import type { Lengths } from '@/views/lengths';
import { capital, dosed } from '@/wording/trade';

import { lookIn, type BalloonLooks } from '@/parts/look';

/** How batches are hit with what is there, by their keys: doses and limits of their balloons. */
export function batchTargets(
  batches: readonly Batch[],
  models: readonly ModelRecord[],
  basis: PieceBasis,
): ReadonlyMap<string, SizeTarget> {
  const asked = batches.map(({ key, balloon, fillMm: widthMm }) => ({
    ...{ key, title: key, widthMm },
    part: { modelId: balloon, colourHex: lookIn(balloon, models).colour, finish: 'matte' as const },
  }));
  // A batch is as wide as it is filled: rooms and hours are in that already.
  return targetsFor(asked, { ...basis, venue: null });
}

/** "Hole 10, ½ gap · 7 strokes · tape 29⅞ inches". */
export function batchHow(
  { fillMm, toleranceMm }: Pick<Batch, 'fillMm' | 'toleranceMm'>,
  { nominalMm }: Pick<BalloonLooks, 'nominalMm'>,
  target: SizeTarget | null,
  { lengths, sizers, trade }: { lengths: Lengths; sizers: readonly SizerRecord[]; trade: Trade },
): string {
  const hole =
    nominalMm === null ? null : bestHole(sizers, { targetMm: fillMm, toleranceMm, nominalMm }, trade)?.choice;
  const gap = hole?.how === 'gap' ? `, ${lengths.bare(hole.gapMm)} gap` : '';
  const ways = [
    hole ? `hole ${hole.hole.label}${gap}` : null,
    target?.dose != null ? dosed(target.dose, target.kind) : null,
    // As a tape reads, however long that is.
    `tape ${lengths.bare(circumferenceMm({ widthMm: fillMm }))} ${lengths.unit === 'in' ? 'inches' : 'cm'}`,
  ];
  return capital(ways.filter((way) => way !== null).join(' · '));
}
