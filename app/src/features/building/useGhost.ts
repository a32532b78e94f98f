import type { PieceSpread, SimulatedPiece } from '@leggero/core/building';
import { useCallback, useMemo, useState } from 'react';

import { bentUneven, type BentRow } from '@/parts/piece/bentUneven';
import type { GhostOf } from '@/parts/piece/ExactWays';
import { packingOf } from '@/parts/piece/material';
import type { TiedBalloon } from '@/parts/piece/tied';
import type { PieceBasis } from '@/parts/piece/useBasis';

/** What of a piece is simulated, and which of its balloons that are. */
export interface SimulatedRows {
  piece: SimulatedPiece;
  rows: readonly BentRow[];
}

/** A piece tied along something as it comes out: its simulated rows laid anew, and one time of it while that is asked for. */
export function useGhost(
  balloons: readonly TiedBalloon[] | undefined,
  simulated: SimulatedRows | null,
  basis: PieceBasis,
) {
  const [ghost, setGhost] = useState<GhostOf | null>(null);
  const laidAnew = useCallback(
    (spread: PieceSpread, seed: number): TiedBalloon[] => {
      if (!balloons || !simulated) return [];
      const { piece, rows } = simulated;
      const { packing } = packingOf(basis);
      const how = { spread, seed, heldBy: piece.heldBy, packing, trade: basis.knowledge.trade };
      return bentUneven(balloons, { layers: piece.layers, rows }, how);
    },
    [balloons, simulated, basis],
  );
  const ghosts = useMemo(() => (ghost ? laidAnew(ghost.spread, ghost.seed) : []), [ghost, laidAnew]);
  return {
    laidAnew,
    /** For the picture, and for the card that asks how exact it must be. */
    seen: { ghosts, onNoGhost: () => setGhost(null) },
    exact: simulated && { piece: simulated.piece, along: 'Length' as const, ghost, onGhost: setGhost },
  };
}

/** Balloons of one row by their layer, in the order of their places. */
export function rowOf(
  balloons: readonly TiedBalloon[],
  fixed: number,
  layerOf = ({ layer }: TiedBalloon) => layer,
): BentRow {
  const layers: number[][] = [];
  balloons.forEach((balloon, i) => {
    const layer = layerOf(balloon);
    if (layer >= 0) (layers[layer] ??= []).push(i);
  });
  return { from: 0, layers, fixed };
}
