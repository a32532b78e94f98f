import type { FixingRecord } from '@leggero/contract';
import type { InflatorKind, Origin, TargetCaution } from '@leggero/core';

import { viewModel } from '@/views/modelView';

import { modelOf } from './material';
import type { PieceSize } from './sizes';
import type { PieceBasis } from './useBasis';

/** What one size of a piece is filled to, and how to reach it. */
export interface SizeTarget {
  origin: Origin;
  dose: number | null;
  kind: InflatorKind;
  /** What it is filled to where it is made, mm. */
  fillMm: number;
  /** Where its own limits hold it below what the piece wants, mm. */
  heldMm: number | null;
  cautions: TargetCaution[];
}

type TargetBasis = Pick<PieceBasis, 'knowledge' | 'studio' | 'venue'>;

/** The size as a target of its balloon, the balloon's own limits held; of a pair those of both. */
export function targetFor(
  size: Pick<PieceSize, 'key' | 'title' | 'part' | 'widthMm'>,
  basis: TargetBasis,
): SizeTarget | null {
  const model = modelOf(size.part, basis);
  if (!model) return null;
  const { knowledge, studio, venue } = basis;
  const { governingMm } = viewModel({ model, knowledge, studio, tiers: [] });
  const fraction = size.widthMm / governingMm;
  const { key: id, title: name } = size;
  const tier = {
    id,
    name,
    fraction,
    leastFraction: fraction,
    mostFraction: fraction,
    // Linked work asks for round bodies: an oval turns the next one.
    shape: 'round' as const,
    purpose: '',
    position: 0,
  };
  const view = viewModel({ model, knowledge, studio, tiers: [tier], venue });
  const target = view.targets[0]?.target;
  if (!target) return null;
  const { widthMm: fillMm, showing, origin, dose, cautions } = target;
  const shownMm = venue ? showing.widthMm : fillMm;
  return {
    origin,
    dose: dose?.dose ?? null,
    kind: view.curve?.inflator ?? 'hand',
    fillMm,
    // A fill on a step may be shown half a step narrower than was asked.
    heldMm: shownMm < size.widthMm - studio.stepMm * (venue ? 0.75 : 0.5) ? fillMm : null,
    cautions,
  };
}

/** Widths nearer than this are asked for alike, mm. */
const ALIKE_MM = 0.05;

/** The fixed target that counts for a size: the newest for its balloon and its width; none where none was fixed. */
export function fixingOf(
  { part, widthMm }: Pick<PieceSize, 'part' | 'widthMm'>,
  fixings: readonly FixingRecord[],
): FixingRecord | undefined {
  return fixings.find(({ modelId, wantedMm }) => modelId === part.modelId && Math.abs(wantedMm - widthMm) < ALIKE_MM);
}

/** What a size is filled to where it is made, mm: as it is fixed, as its event's rooms and hours want it, or as drawn. */
export function fillOf(
  size: Pick<PieceSize, 'key' | 'title' | 'part' | 'widthMm'>,
  fixings: readonly FixingRecord[],
  basis: TargetBasis,
): number {
  const fixed = fixingOf(size, fixings);
  if (fixed) return fixed.fillMm;
  return (basis.venue && targetFor(size, basis)?.fillMm) || size.widthMm;
}

/** Whether readings, or conditions, have moved a target since it was fixed: by half a step, or in its dose. */
export function hasMoved(
  fixing: Pick<FixingRecord, 'fillMm' | 'dose'>,
  now: Pick<SizeTarget, 'fillMm' | 'dose'>,
  { studio }: Pick<PieceBasis, 'studio'>,
): boolean {
  return Math.abs(now.fillMm - fixing.fillMm) >= studio.stepMm / 2 || now.dose !== fixing.dose;
}

/** The targets that a piece keeps and that would be others by now. */
export function movedIn(fixings: readonly FixingRecord[], basis: TargetBasis): FixingRecord[] {
  return fixings.filter((fixing, i) => {
    const { modelId, wantedMm: widthMm } = fixing;
    const part = { modelId, colourHex: '', finish: 'matte' } as const;
    // An older one for the same no longer counts.
    if (fixingOf({ part, widthMm }, fixings.slice(0, i))) return false;
    const now = targetFor({ key: fixing.id, title: '', part, widthMm }, basis);
    return now !== null && hasMoved(fixing, now, basis);
  });
}
