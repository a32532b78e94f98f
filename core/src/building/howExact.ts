import type { SizeSpread } from '../consistency/sizeSpread';
import { ok, type Problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import {
  simulatePiece,
  spreadAllowed,
  type PieceSimulation,
  type SimulateOptions,
  type SimulatePieceProblemCode,
  type SpreadAllowed,
} from './simulatePiece';
import type { PieceSpread } from './sizesOff';

/** Ways to bring balloons to their size, from the quickest to the slowest. */
export const SIZING_WAYS = ['eye', 'sizer', 'checked'] as const;
export type SizingWay = (typeof SIZING_WAYS)[number];

/** How balloons come out by each way: as these hands are known, else as hands are. */
export function spreadBy(
  way: SizingWay,
  { own, trade = TRADE }: { own: Partial<Record<'eye' | 'sizer', SizeSpread>>; trade?: Trade | undefined },
): PieceSpread {
  const hands = way === 'eye' ? 'eye' : 'sizer';
  const { lean, sd } = own[hands] ?? { lean: 0, sd: trade.handSpread[hands] };
  return way === 'checked' ? { lean, sd, within: trade.workTolerance.classic.fraction } : { lean, sd };
}

/** A piece as it comes out by one way. */
export interface PieceByWay {
  spread: PieceSpread;
  simulation: PieceSimulation;
}

/** The answer to how exact a piece must be. */
export interface HowExact {
  ways: Record<SizingWay, PieceByWay>;
  /** As it comes out with a spread that someone chose. */
  chosen: PieceByWay | null;
  /** The quickest way by which enough pieces show no fault (`trade.builtShare`); null where none does. */
  enough: SizingWay | null;
  allowed: SpreadAllowed;
}

/** More pieces do not make the spread that is allowed any surer than it needs to be. */
const MOST_LOOKED_AT = 2000;

/**
 * Must every balloon be sized? Builds the piece by eye, with a sizer, and with every balloon checked and made anew until
 * it is within the tolerance of classic work, and says which is good enough, and how far balloons may be off at all.
 *
 * `own`: how balloons come out in these hands, by eye and with a sizer, as far as that is known. `chosen`: one more
 * spread. `onDone`: told how many pieces are built of all that will be.
 *
 * Problems: those of `simulatePiece`, of a chosen spread with `chosen.…` as their field.
 *
 * Source: `simulatePiece`, `spreadAllowed`.
 */
export function howExact({
  own = {},
  chosen = null,
  onDone,
  ...options
}: Omit<SimulateOptions, 'onDone'> & {
  own?: Partial<Record<'eye' | 'sizer', SizeSpread>> | undefined;
  chosen?: SizeSpread | null | undefined;
  onDone?: ((built: number, of: number) => void) | undefined;
}): Result<HowExact, SimulatePieceProblemCode> {
  const { trials, trade = TRADE } = options;
  const runs = SIZING_WAYS.length + (chosen ? 1 : 0);
  const lookedAt = { ...options, trials: Math.min(trials, MOST_LOOKED_AT) };
  let before = 0;
  const by = (spread: PieceSpread): Result<PieceByWay, SimulatePieceProblemCode> => {
    const made = simulatePiece({ ...options, spread, onDone: (built) => onDone?.(before + built, runs * trials) });
    before += trials;
    return made.ok ? ok({ spread, simulation: made.value }) : made;
  };
  const asked = chosen ? by(chosen) : null;
  if (asked && !asked.ok) return { ok: false, problem: asChosen(asked.problem) };
  const [eye, sizer, checked] = SIZING_WAYS.map((way) => by(spreadBy(way, { own, trade })));
  if (!eye!.ok) return eye!;
  if (!sizer!.ok) return sizer!;
  if (!checked!.ok) return checked!;
  const allowed = spreadAllowed(lookedAt);
  if (!allowed.ok) return allowed;
  const ways = { eye: eye!.value, sizer: sizer!.value, checked: checked!.value };
  const enough = SIZING_WAYS.find((way) => ways[way].simulation.good >= trade.builtShare) ?? null;
  return ok({ ways, chosen: asked?.value ?? null, enough, allowed: allowed.value });
}

/** Of a spread that someone chose its field is another one. */
function asChosen<Code extends string>(refused: Problem<Code>): Problem<Code> {
  const field = refused.field?.replace(/^spread\./, 'chosen.');
  return { ...refused, ...(field === undefined ? {} : { field }) };
}
