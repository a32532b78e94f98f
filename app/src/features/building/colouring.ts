import { MOST_PAINTED, type DesignOf } from '@leggero/contract';
import type { PatternKind } from '@leggero/core';
import { bandsOf, isAround } from '@leggero/core/building';

export type ColumnDesign = DesignOf<'column'>;
export type TaperDesign = DesignOf<'taper'>;
/** What a piece of layers says of its colours. */
export type Colouring = Pick<ColumnDesign, 'count' | 'colours' | 'pattern' | 'painted'>;

/** A pattern begun anew: its colours shared evenly around the ring, or one after the other up the piece. */
export function patternOf(
  { count, colours, pattern }: Omit<Colouring, 'painted'>,
  kind: PatternKind = pattern.kind,
): Colouring['pattern'] {
  const inTurn = Array.from({ length: count }, (_, place) => place % Math.min(count, colours.length));
  const order = !isAround(kind)
    ? colours.map((_, colour) => colour)
    : kind === 'checks'
      ? inTurn
      : bandsOf({ count, colours: colours.length });
  return { ...pattern, kind, order };
}

/** What changes with other colours or another count: the pattern follows, and what was painted stays where it still is. */
export function recoloured(design: Colouring, by: Partial<Pick<Colouring, 'count' | 'colours'>>): Partial<Colouring> {
  const next = { ...design, ...by };
  const painted = design.painted.filter(({ colour, place }) => colour < next.colours.length && place < next.count);
  return { ...by, pattern: patternOf(next), painted };
}

/** One balloon painted, whatever it was before. */
export function paintedAt(
  { painted }: Pick<Colouring, 'painted'>,
  at: Colouring['painted'][number],
): Colouring['painted'] {
  const others = painted.filter(({ layer, place }) => layer !== at.layer || place !== at.place);
  return [...others, at].slice(-MOST_PAINTED);
}
