import type { HoleLabel, HoleRecord, RowOf, Rows, SizerRecord, Write } from '@leggero/contract';
import { weakMapMemoize } from 'reselect';

import { groupsOf, listed, listOf } from './rows';

export const SIZER_NOUNS = ['sizer', 'hole', 'holeMeasurement', 'sizing'] as const;

const sizers = listOf('sizer');
const holesOf = groupsOf('hole', 'sizerId');
const measurementsOf = groupsOf('holeMeasurement', 'holeId');
const sizingsOf = groupsOf('sizing', 'holeId');

const holeInFull = weakMapMemoize(
  ({ id, label, widthMm }: RowOf<'hole'>, measurements: readonly RowOf<'holeMeasurement'>[]): HoleRecord => ({
    id,
    label,
    widthMm,
    measurements: [...measurements],
  }),
);
const sizerInFull = weakMapMemoize(
  (sizer: RowOf<'sizer'>, holes: HoleRecord[], sizings: RowOf<'sizing'>[]): SizerRecord => ({
    ...sizer,
    holes,
    sizings,
  }),
);

/** Sizers, by name, each with its holes by width, their measurements and the balloons sized in them. */
export function sizersOf(rows: Pick<Rows, (typeof SIZER_NOUNS)[number]>): SizerRecord[] {
  const [holes, measured, sized] = [holesOf(rows.hole), measurementsOf(rows.holeMeasurement), sizingsOf(rows.sizing)];
  return listed(
    ...sizers(rows.sizer).map((sizer) => {
      const own = holes.of(sizer.id);
      return sizerInFull(
        sizer,
        listed(...own.map((hole) => holeInFull(hole, measured.of(hole.id)))),
        listed(...own.flatMap(({ id }) => sized.of(id))),
      );
    }),
  );
}

/** Wider than any hole: out of the way of the others while they move. */
const ASIDE_MM = 2000;

/**
 * What makes a sizer's holes those that are wanted: those that keep their id keep what was measured of them. Two holes
 * may trade widths: none stands in the way of another while they move.
 */
export function writesOfHoles(
  sizerId: string,
  { before, wanted }: { before: readonly HoleLabel[]; wanted: readonly HoleLabel[] },
): Write[] {
  const known = new Map(before.map((hole) => [hole.id, hole]));
  const kept = new Set(wanted.map(({ id }) => id));
  const changed = wanted.filter(({ id, label, widthMm }) => {
    const hole = known.get(id);
    return hole && (hole.label !== label || hole.widthMm !== widthMm);
  });
  const moved = changed.filter(({ id, widthMm }) => known.get(id)!.widthMm !== widthMm);
  const crossing = moved.some(({ id, widthMm }) =>
    before.some((other) => other.id !== id && other.widthMm === widthMm),
  );
  return [
    ...before.filter(({ id }) => !kept.has(id)).map(({ id }) => ({ remove: 'hole' as const, id })),
    ...(crossing ? moved : []).map(({ id }) => ({
      change: 'hole' as const,
      id,
      by: { widthMm: known.get(id)!.widthMm + ASIDE_MM },
    })),
    ...changed.map(({ id, label, widthMm }) => ({ change: 'hole' as const, id, by: { label, widthMm } })),
    ...wanted.filter(({ id }) => !known.has(id)).map((hole) => ({ put: 'hole' as const, row: { ...hole, sizerId } })),
  ];
}
