import { ok, type Problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';

/** A chain laid out straight and measured, from the outside of the first body to the outside of the last. */
export interface MeasuredChain {
  count: number;
  /** Of each body, mm. */
  widthMm: number;
  lengthMm: number;
}

/** What stands between two linked bodies: their pitch less their width. */
export interface Joint {
  /** mm; below 0 where the bodies press into each other. */
  jointMm: number;
  /** Standard uncertainty, mm. */
  sdMm: number;
  /** Chains it was learned from; 0: `TRADE.linkJoint`. */
  chains: number;
}

export type JointProblemCode =
  /** A chain of two shows a single joint, and no more than how it was laid. */
  | 'too-few-balloons'
  | 'bad-width'
  /** The length is not one that so many bodies can have: `leastMm` to `mostMm`. */
  | 'impossible-length';

/** Fewest balloons of a chain that is measured; five is usual. */
const FEWEST = 3;
/** Tape over a whole chain, mm (from memory). */
const TAPE_SD_MM = 3;
/** Joints outside of these shares of the width are a slip of the tape. */
const LEAST_SHARE = -0.25;
const MOST_SHARE = 0.5;

interface JointOptions {
  nominalMm: number;
  chains: readonly MeasuredChain[];
  trade?: Trade | undefined;
}

/**
 * The joint of a balloon's chains. Before any is measured it is `TRADE.linkJoint` of the nominal, with its
 * uncertainty; each measured chain then counts by its own: the tape's is shared by count - 1 joints, and joints
 * differ among themselves.
 *
 * Problems: those of `chainProblem`, with `chains.<index>` before the field.
 */
export function learnJoint({ nominalMm, chains, trade = TRADE }: JointOptions): Result<Joint, JointProblemCode> {
  const priorSd = trade.linkJointSd * nominalMm;
  let weight = 1 / priorSd ** 2;
  let sum = weight * trade.linkJoint * nominalMm;
  for (const [i, chain] of chains.entries()) {
    const wrong = chainProblem(chain);
    if (wrong) return { ok: false, problem: { ...wrong, field: `chains.${i}.${wrong.field}` } };
    const joints = chain.count - 1;
    const sd = Math.hypot(TAPE_SD_MM / joints, priorSd / 2 / Math.sqrt(joints));
    weight += 1 / sd ** 2;
    sum += jointOf(chain) / sd ** 2;
  }
  return ok({ jointMm: sum / weight, sdMm: Math.sqrt(1 / weight), chains: chains.length });
}

function jointOf({ count, widthMm, lengthMm }: MeasuredChain): number {
  return (lengthMm - count * widthMm) / (count - 1);
}

/** Why a measured chain tells nothing: `too-few-balloons`, `bad-width`, `impossible-length`; null when it does. */
export function chainProblem(chain: MeasuredChain): (Problem<JointProblemCode> & { field: string }) | null {
  const { count, widthMm } = chain;
  if (!(Number.isInteger(count) && count >= FEWEST))
    return { code: 'too-few-balloons', field: 'count', detail: { least: FEWEST } };
  if (!(widthMm > 0 && Number.isFinite(widthMm))) return { code: 'bad-width', field: 'widthMm' };
  const share = jointOf(chain) / widthMm;
  if (share >= LEAST_SHARE && share <= MOST_SHARE) return null;
  const lengthWith = (joint: number) => widthMm * (count + joint * (count - 1));
  const detail = { leastMm: lengthWith(LEAST_SHARE), mostMm: lengthWith(MOST_SHARE) };
  return { code: 'impossible-length', field: 'lengthMm', detail };
}

/** The joint of a balloon as far as its chains tell; `TRADE.linkJoint` where one of them cannot be used. */
export function jointFor({ nominalMm, chains, trade = TRADE }: JointOptions): Joint {
  const learned = learnJoint({ nominalMm, chains, trade });
  if (learned.ok) return learned.value;
  return { jointMm: trade.linkJoint * nominalMm, sdMm: trade.linkJointSd * nominalMm, chains: 0 };
}
