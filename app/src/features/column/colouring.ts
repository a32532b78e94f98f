import { MOST_PAINTED, type DesignOf } from '@leggero/contract';
import type { PatternKind } from '@leggero/core';
import { bandsOf, isAround } from '@leggero/core/building';

export type ColumnDesign = DesignOf<'column'>;

/** A pattern begun anew: its colours shared evenly around the ring, or one after the other up the column. */
export function patternOf(
  { count, colours, pattern }: Pick<ColumnDesign, 'count' | 'colours' | 'pattern'>,
  kind: PatternKind = pattern.kind,
): ColumnDesign['pattern'] {
  const inTurn = Array.from({ length: count }, (_, place) => place % Math.min(count, colours.length));
  const order = !isAround(kind)
    ? colours.map((_, colour) => colour)
    : kind === 'checks'
      ? inTurn
      : bandsOf({ count, colours: colours.length });
  return { ...pattern, kind, order };
}

/** A design with other colours or another count: the pattern follows, and what was painted stays where it still is. */
export function recoloured(design: ColumnDesign, by: Partial<Pick<ColumnDesign, 'count' | 'colours'>>) {
  const next = { ...design, ...by };
  const painted = design.painted.filter(({ colour, place }) => colour < next.colours.length && place < next.count);
  return { ...by, pattern: patternOf(next), painted };
}

/** One balloon painted; as its pattern has it when it is painted so. */
export function paintedAt(
  { painted }: ColumnDesign,
  at: { layer: number; place: number; colour: number },
): ColumnDesign['painted'] {
  const others = painted.filter(({ layer, place }) => layer !== at.layer || place !== at.place);
  return [...others, at].slice(-MOST_PAINTED);
}
