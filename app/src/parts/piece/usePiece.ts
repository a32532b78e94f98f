import type { PieceDesign } from '@leggero/contract';
import type { Problem } from '@leggero/core';

import type { ShownPiece } from './shownPiece';
import type { PieceBasis } from './useBasis';
import { useDesign } from './useDesign';

type WorkedOut<View, Code extends string> = { ok: true; value: View } | { ok: false; problem: Problem<Code> };

interface PieceState<Design, View, Code extends string> {
  design: Design;
  change: (by: Partial<Design>) => void;
  /** The piece worked out; null where it cannot be. */
  view: View | null;
  problem: Problem<Code> | null;
  /** What is wrong with a field, for the place below it. */
  wrong: (field: string) => string | undefined;
}

/** A piece as it is being designed: its design, what comes of it, and what stands in the way beside its field. */
export function usePiece<Design extends PieceDesign, View, Code extends string>(
  { piece, design: stored, basis }: ShownPiece<Design>,
  workOut: (design: Design, basis: PieceBasis) => WorkedOut<View, Code>,
  wordsFor: (problem: Problem<Code>, text: (mm: number) => string) => string,
): PieceState<Design, View, Code> {
  const [design, change] = useDesign(piece, stored);
  const made = workOut(design, basis);
  const problem = made.ok ? null : made.problem;
  return {
    design,
    change,
    view: made.ok ? made.value : null,
    problem,
    wrong: (field) => (problem?.field === field ? wordsFor(problem, basis.lengths.text) : undefined),
  };
}
