import type { PumpRecord, ShelfModel, Studio, TierRecord } from '@leggero/contract';
import {
  INFLATOR_KINDS,
  type Problem,
  type SkinOpacities,
  type StuffedColour,
  nearestTier,
  type Trade,
} from '@leggero/core';
import {
  piecesFrom,
  pressureCurve,
  skinStuffing,
  type PairProblemCode,
  type PressurePoint,
  type SkinStuffing,
} from '@leggero/core/stuffing';

import type { Knowledge } from '@/views/knowledge';
import { skinOf, viewModel } from '@/views/modelView';
import { expectedColour, opacitiesOf, type Parts } from '@/views/pairs';

/** Enough for a curve without corners at any width of the page. */
const CHART_POINTS = 500;

/** A pair worked out for one tier. */
export interface PairView {
  parts: Parts<ShelfModel>;
  stuffing: SkinStuffing | null;
  problem: Problem<PairProblemCode> | null;
  colour: StuffedColour;
  opacities: SkinOpacities;
  /** Pieces the stock makes; null where not all was counted. */
  pieces: number | null;
  pressure: PressurePoint[];
}

interface PairOptions {
  parts: Parts<ShelfModel>;
  /** The pair's own record, once it is on the shelf. */
  pair?: ShelfModel | undefined;
  tier: TierRecord;
  knowledge: Knowledge;
  studio: Studio;
  /** What there is of a balloon; null where nobody counted it. */
  thereOf: (modelId: string) => number | null;
}

/** The tier asked for; else the one nearest to what most stuffed work is filled to. */
export function pairTier(
  tiers: readonly TierRecord[],
  id: string | undefined,
  { stuffedFraction }: Trade,
): TierRecord | undefined {
  return tiers.find((tier) => tier.id === id) ?? nearestTier(tiers, stuffedFraction);
}

/** Works a pair out for a tier, from what is known of both balloons and of the pair itself. */
export function viewPair({ parts, pair, tier, knowledge, studio, thereOf }: PairOptions): PairView {
  const { outer, inner } = parts;
  const { trade } = knowledge;
  const fit = pair ? viewModel({ model: pair, knowledge, studio, tiers: [] }).fit : null;
  const found = skinStuffing({
    outer: skinOf(outer, { knowledge, studio }),
    inner: skinOf(inner, { knowledge, studio }),
    tier,
    fit,
    daysStanding: studio.daysStanding,
    step: studio.stepMm,
    mostKPa: mostKPaOf(knowledge),
    trade,
  });
  const opacities = opacitiesOf(knowledge.models, trade);
  const sameModel = outer.id === inner.id;
  const toMm = found.ok ? found.value.target.widthMm : Math.min(outer.nominalMm, inner.nominalMm);
  return {
    parts,
    stuffing: found.ok ? found.value : null,
    problem: found.ok ? null : found.problem,
    colour: expectedColour(parts, opacities, trade),
    opacities,
    pieces: piecesFrom({ outerStock: thereOf(outer.id), innerStock: thereOf(inner.id), sameModel }),
    pressure: pressureCurve({
      nominalsMm: [outer.nominalMm, inner.nominalMm],
      toMm: 1.1 * toMm,
      points: CHART_POINTS,
      trade,
    }),
  };
}

/** What each kind of inflator here presses at most: the strongest on record, else what is usual. */
function mostKPaOf({ pumps, trade }: Pick<Knowledge, 'pumps' | 'trade'>): Record<PumpRecord['kind'], number> {
  const most = { ...trade.inflatorMostKPa } as Record<PumpRecord['kind'], number>;
  for (const kind of INFLATOR_KINDS) {
    const known = pumps.flatMap((pump) => (pump.kind === kind && pump.mostKPa !== null ? [pump.mostKPa] : []));
    if (known.length > 0) most[kind] = Math.max(...known);
  }
  return most;
}
