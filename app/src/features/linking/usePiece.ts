import type { LinkProblemCode } from '@leggero/core/linking';
import type { PieceDesign } from '@leggero/contract';
import type { Problem } from '@leggero/core';

import { linkProblemText } from '@/wording/linking';

import type { ShownPiece } from './shownPiece';
import type { PieceBasis } from './useBasis';
import { useDesign } from './useDesign';

type WorkedOut<View> = { ok: true; value: View } | { ok: false; problem: Problem<LinkProblemCode> };

interface PieceState<Design, View> {
  design: Design;
  change: (by: Partial<Design>) => void;
  /** The piece worked out; null where it cannot be. */
  view: View | null;
  problem: Problem<LinkProblemCode> | null;
  /** What is wrong with a field, for the place below it. */
  wrong: (field: string) => string | undefined;
}

/** A piece as it is being designed: its design, what comes of it, and what stands in the way beside its field. */
export function usePiece<Design extends PieceDesign, View>(
  { piece, design: stored, basis }: ShownPiece<Design>,
  workOut: (design: Design, basis: PieceBasis) => WorkedOut<View>,
): PieceState<Design, View> {
  const [design, change] = useDesign(piece, stored);
  const made = workOut(design, basis);
  const problem = made.ok ? null : made.problem;
  return {
    design,
    change,
    view: made.ok ? made.value : null,
    problem,
    wrong: (field) => (problem?.field === field ? linkProblemText(problem, basis.lengths.text) : undefined),
  };
}
