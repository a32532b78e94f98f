import { ok, problem, type Result } from '../result';
import { distributionOf, quantile, type Distribution } from './distribution';
import { TRADE, type Trade } from '../trade';
import type { Layer } from './layer';
import { layUneven, roomFor } from './layUneven';
import { faultMeters, PIECE_FAULTS, type FaultMeter, type PieceFault } from './pieceFaults';
import { factorsOff, type PieceSpread } from './sizesOff';
import type { StackLayersProblemCode } from './stackLayers';
import { unevenPlan, type HeldBy, type UnevenPlan } from './unevenPlan';

/** A piece that is built again and again. */
export interface SimulatedPiece {
  layers: readonly Layer[];
  heldBy: HeldBy;
  /** What stands below and above and is always alike: its stand, a figure on top, mm. */
  fixedMm: number;
  /** Its two halves are to come out alike, as the loops of a bow are: their layers are even in number. */
  twin?: boolean | undefined;
}

/** One thing that is measured on every piece that was built. */
export interface PieceMeasure {
  /** mm; gaps, openings and drifts as they are on balloons of the piece's mean width. */
  found: Distribution;
  /** What it is while no balloon is off, mm. */
  evenMm: number;
  /** So far from that it is seen, mm. */
  seenMm: number;
  /** On which share of the pieces it is. */
  seen: number;
}

/** A piece as it comes out in certain hands. */
export interface PieceSimulation {
  trials: number;
  /** The share of pieces on which nobody sees a fault, and its standard error. */
  good: number;
  goodError: number;
  /** Of what the piece can have: on a pole nothing leans, and duplets leave no openings. */
  measures: Partial<Record<PieceFault, PieceMeasure>>;
  /** What is seen on most of them; null where nothing ever is. */
  worst: PieceFault | null;
  /** The trial that one in twenty are worse than: `trialSeed` lays it again. */
  poor: number;
}

export type SimulatePieceProblemCode =
  | StackLayersProblemCode
  /** No two balloons are all alike. */
  | 'no-spread'
  /** So far off no balloon of a piece is: `most`, a share. */
  | 'wide-spread'
  /** So few say nothing, so many take too long: `least`, `most`. */
  | 'bad-trials';

/** A quarter off is another size of balloon. */
const MOST_SPREAD = 0.25;
export const TRIALS = { least: 200, most: 100_000 } as const;
/** Trials between two words on how far it is. */
const WORD_EVERY = 500;
const POOR = 0.95;

/** The seed of one trial, as `unevenStack` takes it. */
export const trialSeed = (seed: number, trial: number): number => (seed + Math.imul(trial, 0x9e3779b1)) >>> 0;

/** What is asked of a piece that is built again and again. */
export interface SimulateOptions {
  piece: SimulatedPiece;
  trials: number;
  seed: number;
  /** Told now and then how many are built. */
  onDone?: ((trials: number) => void) | undefined;
  packing?: number | undefined;
  trade?: Trade | undefined;
}

/**
 * Builds a piece again and again, every balloon off by its own draw, and says what comes of it: its height, its lean
 * before it is straightened, its widest gap, how much wider than even an opening to the pole is, how far a balloon is
 * beside its place in the pattern; and how often none of them is seen (`trade.seen`).
 *
 * `spread`: shares of the width. `seed`: the same one gives the same pieces.
 *
 * Problems: those of `stackLayers`; `no-spread`, `wide-spread` (a quarter) with `spread.sd` or `spread.lean` as their
 * field, `bad-trials` (200 to 100,000).
 *
 * Source: `layUneven`; sampling (any handbook of statistics).
 */
export function simulatePiece({
  spread,
  ...options
}: SimulateOptions & { spread: PieceSpread }): Result<PieceSimulation, SimulatePieceProblemCode> {
  const possible = checkSpread(spread);
  if (!possible.ok) return possible;
  const planned = trialsOf(options);
  if (!planned.ok) return planned;
  const { meters } = planned.value;
  const { found, off } = build(planned.value, spread, options);
  const { trials } = options;
  const measures = Object.fromEntries(
    meters.map(({ fault, evenMm, seenMm }, i): [PieceFault, PieceMeasure] => {
      const seen = found[i]!.filter((mm) => Math.abs(mm - evenMm) > seenMm).length / trials;
      return [fault, { found: distributionOf(found[i]!), evenMm, seenMm, seen }];
    }),
  );
  const worst = PIECE_FAULTS.filter((fault) => (measures[fault]?.seen ?? 0) > 0).sort(
    (a, b) => measures[b]!.seen - measures[a]!.seen,
  );
  const good = off.filter((times) => times <= 1).length / trials;
  const poor = quantile(off.slice().sort(), POOR);
  return ok({
    trials,
    ...{ good, goodError: Math.sqrt((good * (1 - good)) / trials) },
    ...{ measures, worst: worst[0] ?? null },
    poor: off.reduce((best, times, i) => (Math.abs(times - poor) < Math.abs(off[best]! - poor) ? i : best), 0),
  });
}

/**
 * Whether balloons may come out so.
 *
 * Problems: `no-spread`, `wide-spread` (a quarter), with `spread.sd` or `spread.lean` as their field.
 */
export function checkSpread(spread: PieceSpread): Result<PieceSpread, 'no-spread' | 'wide-spread'> {
  if (!(spread.sd > 0)) return problem('no-spread', { field: 'spread.sd' });
  for (const field of ['sd', 'lean'] as const) {
    if (!(Math.abs(spread[field]) <= MOST_SPREAD))
      return problem('wide-spread', { field: `spread.${field}`, detail: { most: MOST_SPREAD } });
  }
  return ok(spread);
}

/** How exact balloons must be. */
export interface SpreadAllowed {
  /** The widest spread with which `share` of the pieces show no fault, a share of the width; 0 where none has. */
  sd: number;
  /** It is as wide as any looked at: nothing would be seen on much worse ones. */
  any: boolean;
}

/** Spreads are looked at until they are this near, as a share of the one found. */
const NEAR = 0.01;
/** Narrower than this no balloons come out. */
const LEAST_SPREAD = 1e-4;

/**
 * The other way round: how far balloons may be off, from one to the next, so that `share` of the pieces show no fault.
 * Every spread is looked at with the same draws, so that more spread only ever shows more.
 *
 * `lean`: how far they are off on the whole, a share. `share`: the trade's number where none is given.
 *
 * Problems: those of `simulatePiece` but for its spread.
 *
 * Source: halving (any handbook of numerical mathematics).
 */
export function spreadAllowed({
  lean = 0,
  share,
  ...options
}: SimulateOptions & { lean?: number | undefined; share?: number | undefined }): Result<
  SpreadAllowed,
  Exclude<SimulatePieceProblemCode, 'no-spread'>
> {
  if (!(Math.abs(lean) <= MOST_SPREAD)) return problem('wide-spread', { field: 'lean', detail: { most: MOST_SPREAD } });
  const planned = trialsOf(options);
  if (!planned.ok) return planned;
  const wanted = share ?? (options.trade ?? TRADE).builtShare;
  const holds = (sd: number) => {
    const { off } = build(planned.value, { lean, sd }, options);
    return off.filter((times) => times <= 1).length >= wanted * options.trials;
  };
  if (holds(MOST_SPREAD)) return ok({ sd: MOST_SPREAD, any: true });
  if (!holds(0)) return ok({ sd: 0, any: false });
  let [low, high] = [0, MOST_SPREAD];
  while (high - low > NEAR * high && high > LEAST_SPREAD) {
    const middle = (low + high) / 2;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return ok({ sd: low, any: false });
}

interface Trials {
  plan: UnevenPlan;
  meters: FaultMeter[];
}

function trialsOf({
  piece: { layers, heldBy, fixedMm, twin },
  trials,
  trade = TRADE,
  packing = trade.packing,
}: SimulateOptions): Result<Trials, Exclude<SimulatePieceProblemCode, 'no-spread' | 'wide-spread'>> {
  if (!(Number.isInteger(trials) && trials >= TRIALS.least && trials <= TRIALS.most))
    return problem('bad-trials', { field: 'trials', detail: TRIALS });
  const planned = unevenPlan({ layers, heldBy, packing, trade });
  if (!planned.ok) return planned;
  return ok({ plan: planned.value, meters: faultMeters(planned.value, { fixedMm, twin, trade }) });
}

/** What was found on each piece, by meter; and how many times what is just seen its worst fault is. */
function build({ plan, meters }: Trials, spread: PieceSpread, { trials, seed, onDone }: SimulateOptions) {
  const found = meters.map(() => new Float64Array(trials));
  const off = new Float64Array(trials);
  const laid = roomFor(plan);
  for (let trial = 0; trial < trials; trial += 1) {
    const next = factorsOff(spread, trialSeed(seed, trial));
    for (let i = 0; i < laid.widthsMm.length; i += 1) laid.widthsMm[i] = plan.widthsMm[i]! * next();
    layUneven(plan, laid);
    for (let i = 0; i < meters.length; i += 1) {
      const { of, evenMm, seenMm } = meters[i]!;
      const mm = of(laid);
      found[i]![trial] = mm;
      off[trial] = Math.max(off[trial]!, Math.abs(mm - evenMm) / seenMm);
    }
    if (onDone && (trial + 1) % WORD_EVERY === 0) onDone(trial + 1);
  }
  return { found, off };
}
