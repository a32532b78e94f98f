import type { ChainRecord, PumpRecord, RowOf, ShelfModel, StackRecord, Studio, TierRecord } from '@leggero/contract';
import { isWidthKind, nightLossMm, tradeWith, type InflatorKind, type OwnNumber, type Trade } from '@leggero/core';

import type { PieceSize } from '@/parts/piece/sizes';
import { sizesIn } from '@/parts/piece/sizesIn';
import { knowledgeOf, standsWith, type Knowledge, type Lesson } from '@/views/knowledge';
import { viewModel } from '@/views/modelView';

/** All of a studio's that the trade's numbers act on. */
export interface TrialBasis {
  models: ShelfModel[];
  pumps: PumpRecord[];
  tiers: TierRecord[];
  studio: Studio;
  chains: ChainRecord[];
  stacks: StackRecord[];
  pieces: Pick<RowOf<'piece'>, 'id' | 'design'>[];
}

/** What a worker is asked: what each trial would move, against the numbers as they are. */
export interface TrialQuestion {
  basis: TrialBasis;
  now: OwnNumber[];
  trials: OwnNumber[][];
}

/** How many would move, and the most by which one would. */
export interface Moved {
  count: number;
  most: number;
}

/** What other numbers would move. */
export interface Effect {
  /** Balloons whose targets move, mm. */
  targets: Moved;
  /** Balloons whose strokes or seconds do; `kind` of the most. */
  doses: Moved & { kind: InflatorKind };
  /** Balloons whose tolerances do, mm. */
  tolerances: Moved;
  /** Balloons that would seem to lose another width in a night, mm. */
  nights: Moved;
  /** Targets that would have another origin. */
  origins: number;
  /** Pieces whose sizes, counts or tolerances move, mm. */
  pieces: Moved;
  /** The targets that move most, the furthest first. */
  furthest: { modelId: string; tierName: string; fromMm: number; toMm: number }[];
}

const MOST_FURTHEST = 4;
/** Less than this nobody sees on a tape, mm. */
const SEEN_MM = 0.4;
/** Below it two figures are one. */
const SAME = 1e-6;

/** What each trial would move on the shelf and among the pieces. */
export function effectsOf({ basis, now, trials }: TrialQuestion): Effect[] {
  const before = stateWith(basis, tradeWith(now), null);
  return trials.map((trial) => effectBetween(before, stateWith(basis, tradeWith(trial), before.knowledge)));
}

/** What a studio's balloons and pieces come to with some numbers. */
interface State {
  knowledge: Knowledge;
  views: ReturnType<typeof viewModel>[];
  sizes: (PieceSize[] | null)[];
}

/** What was learned with other numbers stands where none of these was read. */
function stateWith(basis: TrialBasis, trade: Trade, learned: Lesson | null): State {
  const { tiers, studio, pumps, chains, stacks, pieces } = basis;
  const models = basis.models.filter(({ kind }) => isWidthKind(kind));
  const lesson = learned && standsWith(learned, trade) ? learned : undefined;
  const knowledge = knowledgeOf(models, pumps, trade, lesson);
  const longs = basis.models.filter(({ kind }) => kind === 'modelling');
  return {
    knowledge,
    views: models.map((model) => viewModel({ model, knowledge, tiers, studio })),
    sizes: pieces.map(({ design }) => sizesIn(design, { knowledge, studio, chains, stacks, longs })),
  };
}

function effectBetween(before: State, after: State): Effect {
  const effect: Effect = {
    targets: { count: 0, most: 0 },
    doses: { count: 0, most: 0, kind: 'hand' },
    tolerances: { count: 0, most: 0 },
    nights: { count: 0, most: 0 },
    origins: 0,
    pieces: piecesMoved(before.sizes, after.sizes),
    furthest: [],
  };
  before.knowledge.models.forEach(({ id, nominalMm }, i) => {
    const [was, is] = [before.views[i]!, after.views[i]!];
    const pairs = was.targets.flatMap(({ tier, target }) => {
      const then = is.targets.find((each) => each.tier.id === tier.id)?.target;
      return then ? [{ tierName: tier.name, now: target, then }] : [];
    });
    const widths = pairs.map(({ now, then }) => Math.abs(then.widthMm - now.widthMm));
    tell(effect.targets, Math.max(0, ...widths), SAME);
    tell(effect.tolerances, Math.max(0, ...pairs.map(({ now, then }) => Math.abs(then.toleranceMm - now.toleranceMm))));
    effect.origins += pairs.filter(({ now, then }) => now.origin !== then.origin).length;
    const kind = is.curve?.inflator ?? was.curve?.inflator ?? 'hand';
    const doses = pairs.map(({ now, then }) => (now.dose && then.dose ? Math.abs(then.dose.dose - now.dose.dose) : 0));
    if (tell(effect.doses, Math.max(0, ...doses))) effect.doses.kind = kind;
    const [night, nightThen] = [
      nightLossMm({ rate: was.hold, nominalMm, trade: before.knowledge.trade }),
      nightLossMm({ rate: is.hold, nominalMm, trade: after.knowledge.trade }),
    ];
    tell(effect.nights, Math.abs(nightThen - night), SEEN_MM);
    const at = widths.indexOf(Math.max(0, ...widths));
    if (at >= 0 && widths[at]! > SAME) {
      const { tierName, now, then } = pairs[at]!;
      effect.furthest.push({ modelId: id, tierName, fromMm: now.widthMm, toMm: then.widthMm });
    }
  });
  const far = ({ fromMm, toMm }: Effect['furthest'][number]) => Math.abs(toMm - fromMm);
  effect.furthest.sort((a, b) => far(b) - far(a));
  effect.furthest.length = Math.min(MOST_FURTHEST, effect.furthest.length);
  return effect;
}

/** Counts one more where it moves; whether it moves the most so far. */
function tell(moved: Moved, by: number, least = SAME): boolean {
  if (!(by > least)) return false;
  moved.count += 1;
  if (by <= moved.most) return false;
  moved.most = by;
  return true;
}

/** Pieces that come to other sizes; by nothing where only counts change, or one can no longer be worked out. */
function piecesMoved(before: State['sizes'], after: State['sizes']): Moved {
  const moved: Moved = { count: 0, most: 0 };
  before.forEach((was, i) => {
    const is = after[i]!;
    if (JSON.stringify(was) === JSON.stringify(is)) return;
    moved.count += 1;
    was?.forEach(({ widthMm, toleranceMm }, k) => {
      const size = is?.[k] ?? { widthMm, toleranceMm };
      moved.most = Math.max(moved.most, Math.abs(size.widthMm - widthMm), Math.abs(size.toleranceMm - toleranceMm));
    });
  });
  return moved;
}
