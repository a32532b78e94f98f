import { swag, swagPoint } from '../linking/swag';
import { rootWithin } from '../numeric';
import { ok, problem, type Result } from '../result';
import { TRADE, type Trade } from '../trade';
import { roundToStep } from '../units';
import { MOST_LAYERS, type ArchOpen, type ArchShape } from './kinds';
import { ringRadiusMm } from './layer';
import { stackLayers, type StackedLayer, type StackLayersProblemCode } from './stackLayers';
import { tiedRing, type TiedPlace } from './tiedRing';

/** An arch as it is asked for; of its layers, its height and its size whichever is `open` is worked out. */
export interface ArchAsked {
  shape: ArchShape;
  open: ArchOpen;
  /** Balloons in a layer. */
  count: number;
  layers: number;
  widthMm: number;
  /** From the middle of one foot to the middle of the other, mm. */
  spanMm: number;
  /** From the floor to the middle of the arch at its top, mm. */
  highMm: number;
}

/** A place on an arch, from the middle between its feet: to the right and up, mm; where it goes there, from level. */
export interface ArchPlace {
  xMm: number;
  zMm: number;
  angle: number;
}

/** An arch worked out. */
export interface ArchPlan {
  layers: number;
  /** On the sizer's steps, mm. */
  widthMm: number;
  /** The one width with which its layers are just as long as the curve, mm. */
  exactMm: number;
  highMm: number;
  /** Along the middle of the arch, from floor to floor; and how far its layers are off that, mm (above 0: too long). */
  curveMm: number;
  offMm: number;
  /** The layers as they would stand, from the left foot. */
  stack: StackedLayer[];
  /** Where each is. */
  places: ArchPlace[];
  /** The radius it bends with where it bends most, mm, and how far round the arch that is: 0 at the feet, 1 at the top. */
  tightestMm: number;
  tightestAt: number;
  /** What one passes through, mm. */
  clearHighMm: number;
  clearWideMm: number;
  /** How much shorter its inner side is there than its middle, along the rings of centres, a share. */
  inner: number;
  /** Latex takes that up by itself. */
  takenUp: boolean;
  /** Its inner balloons there, and its outer ones, so that latex takes up the rest; on steps, mm. */
  innerMm: number;
  outerMm: number;
  /**
   * With balloons of one size the same: its inner balloon is left out of one layer in so many there; null where that is
   * not needed, or would leave a gap beside the next one.
   */
  leftOutOf: number | null;
  balloons: number;
}

export type ArchProblemCode =
  | StackLayersProblemCode
  | 'bad-step'
  | 'bad-span'
  | 'bad-height'
  /** The feet stand wider than its layers are long: `mostMm`. */
  | 'feet-too-wide'
  /** It bends more tightly than it is thick: `leastMm` of radius, `radiusMm` there is. */
  | 'bends-too-tight';

const MOST_MM = 30_000;
const WIDTHS = { leastMm: 20, mostMm: 2000 } as const;
/** Pieces in which a curve is measured: its length is then known to a millionth. */
const PIECES = 600;

/**
 * An arch of layers along a curve: a framed one on half an ellipse, a free one on the catenary that stands as a chain
 * hangs. Layers follow each other along the middle as those of a column do (`stackLayers`). On the inner side there is
 * less room than in the middle, by the share of the ring of centres over the radius; where that is more than latex gives
 * anyway, the packing, inner balloons are to be smaller and outer ones larger, or some of the inner ones left out: of a
 * row that has a share too many, one in its reciprocal.
 *
 * `open`: `layers` from span, height and size; `height` from layers, span and size; `size` from the others.
 *
 * Problems: those of `stackLayers`; `bad-step`, `bad-span`, `bad-height`, `feet-too-wide`, `bends-too-tight`.
 *
 * Source: arcs of an ellipse (Simpson's rule) and of a catenary (`swag`), any handbook of geometry.
 */
export function solveArch({
  arch,
  stepMm,
  trade = TRADE,
  packing = trade.packing,
}: {
  arch: ArchAsked;
  stepMm: number;
  packing?: number | undefined;
  trade?: Trade | undefined;
}): Result<ArchPlan, ArchProblemCode> {
  const { shape, open, count, spanMm } = arch;
  if (!(stepMm > 0 && Number.isFinite(stepMm))) return problem('bad-step', { field: 'stepMm' });
  if (!(spanMm > 0 && spanMm <= MOST_MM)) return problem('bad-span', { field: 'spanMm' });
  if (open !== 'height' && !(arch.highMm > 0 && arch.highMm <= MOST_MM)) return badHeight(0);
  const stackOf = (layers: number, widthMm: number) =>
    stackLayers({ layers: Array.from({ length: layers }, () => ({ count, widthMm })), packing, trade });
  // Two layers of any width say how all stand.
  const two = stackOf(2, open === 'size' ? WIDTHS.mostMm : arch.widthMm);
  if (!two.ok) return own(two.problem);
  const each = two.value.layers[1]!.riseMm / two.value.layers[0]!.widthMm;
  const lengthOf = (layers: number, widthMm: number) => widthMm * ((layers - 1) * each + 1);
  let { layers, widthMm, highMm } = arch;
  let curve = curveOf(shape, spanMm, highMm);
  if (open === 'layers') layers = Math.max(1, Math.round((curve.lengthMm / widthMm - 1) / each) + 1);
  if (!(Number.isInteger(layers) && layers >= 1)) return problem('no-layers', { field: 'layers' });
  if (layers > MOST_LAYERS)
    return problem('too-many-layers', {
      field: open === 'layers' ? 'highMm' : 'layers',
      detail: { most: MOST_LAYERS },
    });
  if (open === 'size') widthMm = roundToStep({ mm: curve.lengthMm / lengthOf(layers, 1), step: stepMm });
  if (!(widthMm > 0)) return problem('bad-width', { field: 'widthMm' });
  if (open === 'height') {
    const lengthMm = lengthOf(layers, widthMm);
    // A flat ellipse is as long as its span, a steep one twice its height.
    if (!(lengthMm > spanMm * FLATTEST))
      return problem('feet-too-wide', { field: 'spanMm', detail: { mostMm: lengthMm / FLATTEST } });
    const of = (high: number) => curveOf(shape, spanMm, high).lengthMm - lengthMm;
    highMm = rootWithin({ of, low: spanMm * LOWEST, high: lengthMm, within: 1e-6 });
    if (highMm > MOST_MM) return badHeight(MOST_MM);
    curve = curveOf(shape, spanMm, highMm);
  }
  const made = stackOf(layers, widthMm);
  if (!made.ok) return own(made.problem);
  const ringMm = ringRadiusMm({ count, widthMm });
  const reachMm = ringMm + widthMm / 2;
  const { tightestMm, tightestAt } = curve;
  if (tightestMm < reachMm)
    return problem('bends-too-tight', {
      field: open === 'height' ? 'spanMm' : 'highMm',
      detail: { leastMm: reachMm, radiusMm: tightestMm },
    });
  const stackMm = made.value.heightMm;
  // What is left over, or missing, is shared along the whole curve.
  const spread = curve.lengthMm / stackMm;
  const inner = ringMm / tightestMm;
  // Sizes take up what latex leaves.
  const left = Math.max(0, inner - (1 - packing));
  const takenUp = left < 1e-9;
  const outOf = takenUp ? 0 : Math.floor(1 / left);
  const onStep = (mm: number) => roundToStep({ mm, step: stepMm });
  return ok({
    ...{ layers, widthMm, exactMm: curve.lengthMm / lengthOf(layers, 1), highMm },
    ...{ curveMm: curve.lengthMm, offMm: stackMm - curve.lengthMm, stack: made.value.layers },
    places: made.value.layers.map(({ heightMm }) => curve.at(heightMm * spread)),
    ...{ tightestMm, tightestAt, clearHighMm: highMm - reachMm, clearWideMm: spanMm - 2 * reachMm },
    ...{ inner, takenUp, leftOutOf: outOf < LEAST_BETWEEN ? null : outOf },
    ...{ innerMm: onStep(widthMm * (1 - left)), outerMm: onStep(widthMm * (1 + left)) },
    balloons: made.value.balloons,
  });
}

/** An arch lower than such shares of its span is none; its length is then so much of it. */
const LOWEST = 0.05;
const FLATTEST = 1.01;

/** Two that are left out need a layer between them, or the gap shows. */
const LEAST_BETWEEN = 2;

const badHeight = (leastMm: number) => problem('bad-height', { field: 'highMm', detail: { leastMm, mostMm: MOST_MM } });

/** All layers are one, so what is wrong with one is wrong with its field. */
function own(refused: { code: StackLayersProblemCode; field?: string | undefined }): { ok: false; problem: never } {
  const { field, ...rest } = refused;
  return { ok: false, problem: { ...rest, field: field?.replace(/^layers\.\d+\./, '') } as never };
}

interface Curve {
  lengthMm: number;
  /** So far along it from the left foot. */
  at: (alongMm: number) => ArchPlace;
  /** Its radius where it bends most, mm, and where that is: 0 at the feet, 1 at the top. */
  tightestMm: number;
  tightestAt: number;
}

function curveOf(shape: ArchShape, spanMm: number, highMm: number): Curve {
  return shape === 'ellipse' ? ellipse(spanMm / 2, highMm) : standing(spanMm, highMm);
}

/** Half an ellipse, measured in pieces of its own angle by Simpson's rule. */
function ellipse(a: number, b: number): Curve {
  const speed = (t: number) => Math.hypot(a * Math.sin(t), b * Math.cos(t));
  const step = Math.PI / PIECES;
  const along = new Float64Array(PIECES + 1);
  for (let i = 0; i < PIECES; i += 1)
    along[i + 1] = along[i]! + (step / 6) * (speed(i * step) + 4 * speed((i + 0.5) * step) + speed((i + 1) * step));
  const at = (alongMm: number): ArchPlace => {
    let [low, high] = [0, PIECES];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (along[middle]! <= alongMm) low = middle;
      else high = middle;
    }
    const t = (low + (alongMm - along[low]!) / (along[high]! - along[low]!)) * step;
    return { xMm: -a * Math.cos(t), zMm: b * Math.sin(t), angle: Math.atan2(b * Math.cos(t), a * Math.sin(t)) };
  };
  const [top, foot] = [(a * a) / b, (b * b) / a];
  return { lengthMm: along[PIECES]!, at, tightestMm: Math.min(top, foot), tightestAt: top <= foot ? 1 : 0 };
}

/** A chain turned upside down: it bends most at its top, with its parameter. So low that no chain hangs so, it is level. */
function standing(spanMm: number, highMm: number): Curve {
  const made = swag({ spanMm, dropMm: highMm });
  if (!made.ok) {
    const at = (alongMm: number): ArchPlace => ({ xMm: alongMm - spanMm / 2, zMm: 0, angle: 0 });
    return { lengthMm: spanMm, at, tightestMm: Infinity, tightestAt: 1 };
  }
  const at = (alongMm: number): ArchPlace => {
    const { xMm, yMm, slope } = swagPoint(made.value, alongMm);
    return { xMm: xMm - spanMm / 2, zMm: yMm, angle: slope };
  };
  return { lengthMm: made.value.lengthMm, at, tightestMm: made.value.aMm, tightestAt: 1 };
}

/** One balloon of an arch, z up from the floor. */
export interface ArchBalloon extends TiedPlace {
  layer: number;
}

/** Every balloon of an arch where it lies, its neck at the middle of the curve. */
export function archBalloons({ stack, places }: Pick<ArchPlan, 'stack' | 'places'>): ArchBalloon[] {
  return stack.flatMap(({ count, radiusMm, turn }, layer) => {
    const { xMm, zMm, angle } = places[layer]!;
    // Outwards from the arch: a quarter turn to the left of where it goes.
    const out = [-Math.sin(angle), Math.cos(angle)] as const;
    return tiedRing({ count, turn, radiusMm, at: [xMm, zMm], out }).map((each) => ({ layer, ...each }));
  });
}
