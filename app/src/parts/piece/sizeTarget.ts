import type { FixingRecord } from '@leggero/contract';
import type { InflatorKind, Origin, TargetCaution } from '@leggero/core';

import { viewModel } from '@/views/modelView';
import { sameWidth } from '@/views/widths';

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
  /** Its readings are of balloons that were pre-stretched: so must these be. */
  preStretched: boolean;
}

type TargetBasis = Pick<PieceBasis, 'knowledge' | 'studio' | 'venue'>;

export type SizeAsked = Pick<PieceSize, 'key' | 'title' | 'part' | 'widthMm'>;

/**
 * Sizes as targets of their balloons, by their keys, the balloons' own limits held; of a pair those of both. Those of a
 * balloon that is not on the shelf have none.
 */
export function targetsFor(sizes: readonly SizeAsked[], basis: TargetBasis): ReadonlyMap<string, SizeTarget> {
  const { knowledge, studio, venue } = basis;
  const found = new Map<string, SizeTarget>();
  for (const modelId of new Set(sizes.map(({ part }) => part.modelId))) {
    const own = sizes.filter(({ part }) => part.modelId === modelId);
    const model = modelOf(own[0]!.part, basis);
    if (!model) continue;
    // Each balloon is looked up once, however many sizes are made of it.
    const { governingMm } = viewModel({ model, knowledge, studio, tiers: [] });
    const tiers = own.map(({ key: id, title: name, widthMm }) => {
      const fraction = widthMm / governingMm;
      // Linked work asks for round bodies: an oval turns the next one.
      const shape = 'round' as const;
      return { id, name, fraction, leastFraction: fraction, mostFraction: fraction, shape, purpose: '', position: 0 };
    });
    const view = viewModel({ model, knowledge, studio, tiers, venue });
    for (const { tier, target } of view.targets) {
      const { widthMm: fillMm, showing, origin, dose, cautions } = target;
      const wantedMm = tier.fraction * governingMm;
      const shownMm = venue ? showing.widthMm : fillMm;
      found.set(tier.id, {
        origin,
        dose: dose?.dose ?? null,
        kind: view.curve?.inflator ?? 'hand',
        fillMm,
        // A fill on a step may be shown half a step narrower than was asked.
        heldMm: shownMm < wantedMm - studio.stepMm * (venue ? 0.75 : 0.5) ? fillMm : null,
        cautions,
        preStretched: view.calibration?.preStretched ?? false,
      });
    }
  }
  return found;
}

/** One size as a target of its balloon; null where that is not on the shelf. */
export function targetFor(size: SizeAsked, basis: TargetBasis): SizeTarget | null {
  return targetsFor([size], basis).get(size.key) ?? null;
}

/** The fixed target that counts for a size: the newest for its balloon and its width; none where none was fixed. */
export function fixingOf(
  { part, widthMm }: Pick<PieceSize, 'part' | 'widthMm'>,
  fixings: readonly FixingRecord[],
): FixingRecord | undefined {
  return fixings.find(({ modelId, wantedMm }) => modelId === part.modelId && sameWidth(wantedMm, widthMm));
}

/** What sizes are filled to where they are made, mm: as fixed, as the event's rooms and hours want it, or as drawn. */
export function fillsOf(
  sizes: readonly SizeAsked[],
  fixings: readonly FixingRecord[],
  basis: TargetBasis,
): ReadonlyMap<string, number> {
  return fillsOfPieces([{ sizes, fixings }], basis)[0]!;
}

/** The same of several pieces of one event: each balloon is looked at once for all of them. */
export function fillsOfPieces(
  pieces: readonly { sizes: readonly SizeAsked[]; fixings: readonly FixingRecord[] }[],
  basis: TargetBasis,
): ReadonlyMap<string, number>[] {
  const named = pieces.map(({ sizes }, i) => sizes.map((size) => ({ ...size, key: `${i} ${size.key}` })));
  const targets = basis.venue ? targetsFor(named.flat(), basis) : null;
  return pieces.map(
    ({ sizes, fixings }, i) =>
      new Map(
        sizes.map((size) => {
          const fixed = fixingOf(size, fixings)?.fillMm;
          return [size.key, fixed ?? targets?.get(`${i} ${size.key}`)?.fillMm ?? size.widthMm];
        }),
      ),
  );
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
  const asked = fixings.map(({ id: key, modelId, wantedMm: widthMm }) => {
    const part = { modelId, colourHex: '', finish: 'matte' } as const;
    return { key, title: '', part, widthMm };
  });
  const targets = targetsFor(asked, basis);
  return fixings.filter((fixing, i) => {
    // An older one for the same no longer counts.
    if (fixingOf(asked[i]!, fixings) !== fixing) return false;
    const now = targets.get(fixing.id);
    return now !== undefined && hasMoved(fixing, now, basis);
  });
}
