import { rootWithin } from '../numeric';
import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import { roundToStep } from '../units';
import type { Layer } from './layer';
import { MOST_LAYERS, type ColumnOpen } from './kinds';
import { stackLayers, type Stack, type StackLayersProblemCode } from './stackLayers';
import { leastTopperMm, type Topper } from './topper';

/** What a column is asked for with; whichever of height, layers and size is `open` is worked out. */
export interface ColumnAsked {
  /** Balloons in a layer: 2 crossed, 3, 4, 5, 6. */
  count: number;
  open: ColumnOpen;
  layers: number;
  widthMm: number;
  /** Over all, from the floor: stand, layers and topper, mm. */
  heightMm: number;
  aspect?: number | undefined;
  /** Plate and whatever else is below the lowest layer, mm. */
  standMm: number;
  topper: Topper | null;
}

/** A column worked out. */
export interface ColumnPlan {
  layers: number;
  /** On the sizer's steps, mm. */
  widthMm: number;
  /** The one width with which these layers are exactly as high as was asked, mm; the same where height was open. */
  exactMm: number;
  /** The layers, and the topper where it is a balloon, from the top of the stand up. */
  stack: Stack;
  /** Over all, mm, and how far that is from what was asked (above 0: too high). */
  heightMm: number;
  offMm: number;
  /** Of the layers alone. */
  balloons: number;
  /** From the floor to the middle of the topmost layer: so long is the pole, mm. */
  poleMm: number;
  /** The topper where it looks lost on so wide a column: the least that does not, mm. */
  leastTopperMm: number | null;
}

export type ColumnProblemCode =
  | StackLayersProblemCode
  | 'bad-height'
  | 'bad-step'
  | 'bad-stand'
  /** The width that would land there is none these balloons are made in: `leastMm`, `mostMm`. */
  | 'outside-useful';

/** Higher is a tower. */
const MOST_HEIGHT_MM = 30_000;
/** Widths between which one is looked for where none is given, mm. */
const WIDTHS = { leastMm: 20, mostMm: 2000 } as const;

/**
 * A column of equal layers: its height, how many layers it takes, or the size of its balloons, whichever is open, the
 * other two given. Layers are whole and sizes on steps, so `offMm` tells what is left, and `exactMm` the width that
 * leaves nothing.
 *
 * Problems: those of `stackLayers`; `bad-height` (too low for what stands below and above, or over 30 m), `bad-step`,
 * `bad-stand` (0 or more), `outside-useful`.
 *
 * Source: `stackLayers`; how large a topper must be is common practice.
 */
export function solveColumn({
  column,
  stepMm,
  leastMm = WIDTHS.leastMm,
  mostMm = WIDTHS.mostMm,
  trade = TRADE,
  packing = trade.packing,
}: {
  column: ColumnAsked;
  stepMm: number;
  /** Widths that its balloons are useful in, mm. */
  leastMm?: number | undefined;
  mostMm?: number | undefined;
  packing?: number | undefined;
  trade?: Trade | undefined;
}): Result<ColumnPlan, ColumnProblemCode> {
  const { open, heightMm, standMm } = column;
  if (!(standMm >= 0 && standMm <= MOST_HEIGHT_MM)) return problem('bad-stand', { field: 'standMm' });
  if (!(stepMm > 0 && Number.isFinite(stepMm))) return problem('bad-step', { field: 'stepMm' });
  const standing = { trade, packing };
  if (open === 'height') {
    const made = columnOf(column, column.layers, column.widthMm, standing);
    return made.ok
      ? ok(planOf(column, made.value, { exactMm: column.widthMm, askedMm: made.value.heightMm }, trade))
      : made;
  }
  if (!(heightMm > 0 && heightMm <= MOST_HEIGHT_MM)) return badHeight(0);
  // Any width serves to begin with: where size is open, the one given may be none.
  const begun =
    open === 'layers' ? layersFor(column, standing) : columnOf(bare(column), column.layers, BEGIN_MM, standing);
  if (!begun.ok) return begun;
  const exact = widthFor(column, begun.value, standing);
  if (open === 'layers') {
    // Where no width lands, as under some toppers, the whole layers stand nearest all the same.
    const exactMm = exact.ok ? exact.value : column.widthMm;
    return ok(planOf(column, begun.value, { exactMm, askedMm: heightMm }, trade));
  }
  if (!exact.ok) return exact;
  const exactMm = exact.value;
  const widthMm = roundToStep({ mm: exactMm, step: stepMm });
  if (!(widthMm >= leastMm - 1e-6 && widthMm <= mostMm + 1e-6))
    return problem('outside-useful', { field: 'widthMm', detail: { leastMm, mostMm, widthMm: exactMm } });
  const made = columnOf(column, column.layers, widthMm, standing);
  return made.ok ? ok(planOf(column, made.value, { exactMm, askedMm: heightMm }, trade)) : made;
}

const BEGIN_MM = 250;

/** Without a topper that might find no hold on whatever width is begun with. */
const bare = (column: ColumnAsked): ColumnAsked =>
  column.topper?.kind === 'balloon' ? { ...column, topper: null } : column;

interface Standing {
  packing: number;
  trade: Trade;
}

interface Made {
  stack: Stack;
  layers: number;
  widthMm: number;
  heightMm: number;
}

const badHeight = (leastMm: number) =>
  problem('bad-height', { field: 'heightMm', detail: { leastMm, mostMm: MOST_HEIGHT_MM } });

/** A topper that is a balloon is a layer of its own. */
const mostLayers = (topper: Topper | null) => MOST_LAYERS - (topper?.kind === 'balloon' ? 1 : 0);

function columnOf(
  { count, aspect, standMm, topper }: ColumnAsked,
  layers: number,
  widthMm: number,
  { packing, trade }: Standing,
): Result<Made, StackLayersProblemCode> {
  if (!(Number.isInteger(layers) && layers >= 1)) return problem('no-layers', { field: 'layers' });
  const most = mostLayers(topper);
  if (layers > most) return problem('too-many-layers', { field: 'layers', detail: { most } });
  const all: Layer[] = Array.from({ length: layers }, () => ({ count, widthMm, aspect }));
  if (topper?.kind === 'balloon') all.push({ count: 1, widthMm: topper.widthMm, aspect: topper.aspect });
  const made = stackLayers({ layers: all, packing, trade });
  if (!made.ok) {
    const { field, ...rest } = made.problem;
    return { ok: false, problem: { ...rest, field: ownField(field, layers) } as typeof made.problem };
  }
  const figureMm = topper?.kind === 'figure' ? topper.heightMm : 0;
  return ok({ stack: made.value, layers, widthMm, heightMm: standMm + made.value.heightMm + figureMm });
}

/** All layers are one, so what is wrong with one is wrong with its field. */
function ownField(field: string | undefined, layers: number): string | undefined {
  const [, at, name] = /^layers\.(\d+)\.(\w+)$/.exec(field ?? '') ?? [];
  if (at === undefined) return field;
  return Number(at) === layers ? 'topper' : name;
}

/** The whole number of layers whose height is nearest: each layer more stands higher. */
function layersFor(column: ColumnAsked, standing: Standing): Result<Made, ColumnProblemCode> {
  const madeOf = (layers: number) => columnOf(column, layers, column.widthMm, standing);
  const most = mostLayers(column.topper);
  const [one, two] = [madeOf(1), madeOf(2)];
  if (!one.ok) return one;
  if (!two.ok) return two;
  const riseMm = two.value.heightMm - one.value.heightMm;
  if (column.heightMm < one.value.heightMm - riseMm / 2) return badHeight(one.value.heightMm);
  // As a rule each layer rises like the second; a topper that reaches down past it is the exception.
  const about = Math.floor((column.heightMm - one.value.heightMm) / riseMm) + 1;
  const within = (layers: number) => madeOf(Math.max(1, Math.min(most, layers)));
  let [low, high]: [MadeOrNot, MadeOrNot] = [within(about), within(about + 1)];
  if (!isBetween(column.heightMm, low, high)) [low, high] = [one, madeOf(most)];
  if (!low.ok) return low;
  if (!high.ok) return high;
  let [lower, upper] = [low.value, high.value];
  if (column.heightMm > upper.heightMm + riseMm / 2)
    return problem('too-many-layers', { field: 'heightMm', detail: { most } });
  while (upper.layers - lower.layers > 1) {
    const middle = madeOf(Math.floor((lower.layers + upper.layers) / 2));
    if (!middle.ok) return middle;
    if (middle.value.heightMm < column.heightMm) lower = middle.value;
    else upper = middle.value;
  }
  return ok(column.heightMm - lower.heightMm <= upper.heightMm - column.heightMm ? lower : upper);
}

type MadeOrNot = Result<Made, StackLayersProblemCode>;

const isBetween = (heightMm: number, low: MadeOrNot, high: MadeOrNot) =>
  low.ok && high.ok && low.value.heightMm <= heightMm && heightMm <= high.value.heightMm;

/** The width with which so many layers are exactly as high as asked: height only grows with it. */
function widthFor(column: ColumnAsked, made: Made, standing: Standing): Result<number, ColumnProblemCode> {
  if (column.topper?.kind !== 'balloon') {
    // Everything that is not fixed scales with it.
    const fixedMm = made.heightMm - made.stack.heightMm;
    const widthMm = (made.widthMm * (column.heightMm - fixedMm)) / made.stack.heightMm;
    return widthMm > 0 ? ok(widthMm) : badHeight(fixedMm);
  }
  const at = (widthMm: number) => columnOf(column, made.layers, widthMm, standing);
  const heightOf = (widthMm: number) => {
    const made = at(widthMm);
    return made.ok ? made.value.heightMm : null;
  };
  // The topper must find hold: as small as it can be under it, and as large.
  let [low, high]: [number, number] = [WIDTHS.leastMm, WIDTHS.mostMm];
  while (heightOf(low) === null && low < high) low *= 1.1;
  while (heightOf(high) === null && high > low) high /= 1.1;
  const [least, most] = [heightOf(low), heightOf(high)];
  if (least === null || most === null) return badHeight(0);
  if (column.heightMm < least || column.heightMm > most)
    return problem('bad-height', { field: 'heightMm', detail: { leastMm: least, mostMm: most } });
  return ok(rootWithin({ of: (widthMm) => (heightOf(widthMm) ?? most) - column.heightMm, low, high, within: 1e-6 }));
}

function planOf(
  { standMm, topper }: ColumnAsked,
  { stack, layers, widthMm, heightMm }: Made,
  { exactMm, askedMm }: { exactMm: number; askedMm: number },
  trade: Trade,
): ColumnPlan {
  return {
    ...{ layers, widthMm, exactMm, stack, heightMm },
    offMm: heightMm - askedMm,
    balloons: stack.balloons - (topper?.kind === 'balloon' ? 1 : 0),
    poleMm: standMm + stack.layers[layers - 1]!.heightMm,
    leastTopperMm: leastTopperMm({ topper, widthMm, trade }),
  };
}
