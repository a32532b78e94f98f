import type { EventRecord } from '@leggero/contract';
import { defaultHoldRate, roundToStep, standingNow, type StandingNow } from '@leggero/core';

import { viewModel } from '@/views/modelView';

import { modelOf, nominalOf } from './material';
import type { PieceSize } from './sizes';
import { targetFor, type SizeTarget } from './sizeTarget';
import type { PieceBasis } from './useBasis';

/** How long a piece stands by now, how warm it is there, and what one of its balloons measures, where someone did. */
export interface StandsNow {
  hours: number;
  tempC: number;
  measuredMm: number | null;
}

/** What a balloon that failed is made anew to. */
export interface RepairTarget {
  /** Its like by now, as reckoned. */
  like: StandingNow;
  /** What the new one is filled to, where the piece stands; on the studio's step. */
  fillMm: number;
  dose: SizeTarget | null;
}

/**
 * A balloon of a size made anew at a place where its like stand: as wide as they are by now. `fillMm` is what those were
 * filled to. Null where it is so warm, or so long ago, that nothing is known.
 */
export function repairTarget(
  size: PieceSize,
  fillMm: number,
  { hours, tempC, measuredMm }: StandsNow,
  event: Pick<EventRecord, 'wraps'>,
  basis: PieceBasis,
): RepairTarget | null {
  const { knowledge, studio, venue } = basis;
  const { trade } = knowledge;
  const model = modelOf(size.part, basis);
  const closing = { wraps: event.wraps, stuffed: false, nominalMm: nominalOf(size.part, basis) };
  const rate = model ? viewModel({ model, knowledge, studio, tiers: [], venue }).hold : defaultHoldRate(closing, trade);
  const altitudeM = venue?.altitudeM ?? studio.workroomAltitudeM;
  const like = standingNow({
    ...{ fillMm, toleranceMm: size.toleranceMm, hours, rate },
    made: { tempC: studio.workroomTempC, altitudeM: studio.workroomAltitudeM },
    at: { tempC, altitudeM },
  });
  if (!like.ok) return null;
  // Filled where it stands: what it becomes there is what it is filled to.
  const widthMm = measuredMm ?? like.value.widthMm;
  const dose = targetFor({ ...size, widthMm }, { knowledge, studio, venue: null });
  return { like: like.value, fillMm: dose?.fillMm ?? roundToStep({ mm: widthMm, step: studio.stepMm }), dose };
}
