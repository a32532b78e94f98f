import type { PieceDesign, PieceForm, PiecePart } from '@leggero/contract';
import { MM_PER_INCH, roundToStep, TRADE, type Trade } from '@leggero/core';
import { usualLeanDeg } from '@leggero/core/linking';

const inches = (count: number) => count * MM_PER_INCH;
/** Linking work is under-inflated: rounder and longer-lived (common practice). */
const LINK_SHARE = 0.8;

/** A design that works, to begin from: of the balloon at hand, 6 in where there is none. */
export function firstDesign(
  form: PieceForm,
  {
    part,
    other,
    nominalMm = inches(ROUND_IN[form] ?? 6),
    stepMm,
    trade = TRADE,
  }: {
    part: PiecePart;
    /** A second colour, for what has two. */
    other?: PiecePart | undefined;
    nominalMm?: number | undefined;
    stepMm: number;
    trade?: Trade;
  },
): PieceDesign {
  const widthMm = roundToStep({ mm: LINK_SHARE * nominalMm, step: stepMm });
  const repeat = [{ ...part, widthMm }];
  const finisher = { ...part, modelId: null, widthMm: inches(4) };
  switch (form) {
    case 'column':
      return firstColumn({ part, other, nominalMm, stepMm, trade });
    case 'taper':
      return firstTaper({ part, other });
    case 'arch':
      return firstArch({ part, other, nominalMm, stepMm, trade });
    case 'plinth':
      return firstPlinth({ part, other });
    case 'garland':
      return firstGarland({ part, other });
    case 'hoop':
      return firstHoop({ part, other });
    case 'rope':
    case 'bow':
      return firstRope(form, { part, other, nominalMm, stepMm });
    case 'chain':
      return { form, lengthMm: inches(72), repeat, finisher, roomMm: inches(108), trimmed: true };
    case 'swag':
      return {
        form,
        spanMm: inches(120),
        bays: 1,
        dropMm: inches(24),
        riseMm: 0,
        rows: 1,
        rowDropMm: inches(12),
        repeat,
        fixingsMm: inches(102),
        walkedUnder: true,
        trimmed: true,
      };
    case 'curtain':
      return {
        form,
        acrossMm: inches(84),
        topMm: inches(96),
        hemMm: inches(24),
        everyMm: inches(8),
        topLine: 'level',
        bowMm: inches(12),
        hem: 'level',
        grid: false,
        repeat,
        finisher,
        ceilingMm: inches(108),
        walkedUnder: false,
        trimmed: true,
      };
    case 'ring':
      return { form, count: 6, rings: repeat, thing: null };
    default:
      return {
        form,
        ...COUNTS[form],
        by: 'base',
        // A basket's rings grow: its spokes are as small a share of nominal as is practised on a 6 in.
        baseMm:
          form === 'basket'
            ? roundToStep({ mm: (inches(trade.practisedBasket.spokes) * nominalMm) / inches(6), step: stepMm })
            : widthMm,
        mouthMm: inches(6),
        leanDeg: usualLeanDeg(form, trade),
        stepMm: Math.min(stepMm, inches(1 / 8)),
        parts: {},
        usual: part,
        handle: null,
      };
  }
}

/** Sizes of a crescent by strokes 5, 4, 3, 2 and 1 of a usual pump, of balloons up to 9 in (common practice). */
const CRESCENT_IN = [9, 8.25, 7.5, 6.5, 5] as const;

/** A large crescent below and a smaller one opposite, the large one uneven by a cluster (common practice). */
function firstHoop({ part, other = FOAM }: { part: PiecePart; other?: PiecePart | undefined }): PieceDesign {
  const [centre, ...rest] = CRESCENT_IN.map(inches);
  const steps = (counts: readonly (readonly [number, number])[]) =>
    counts.map(([left, right], i) => ({ widthMm: rest[i]!, left, right }));
  const two = [2, 2] as const;
  const one = [1, 1] as const;
  return {
    form: 'hoop',
    ...{ count: 4, hoopMm: inches(72), standMm: inches(6), stepMm: inches(1 / 4), foot: null, sign: null },
    crescents: [
      { atDeg: 180, centreMm: centre!, steps: steps([two, two, two, [2, 1]]), between: null },
      { atDeg: 0, centreMm: centre!, steps: steps([one, one, one, one]), between: null },
    ],
    colours: [part, other],
    pattern: { kind: 'spiral', order: [0, 0, 1, 1], to: 'right', every: 4 },
    painted: [],
  };
}

/** A second colour where the shelf has none: foam. */
const FOAM: PiecePart = { modelId: null, colourHex: '#f3ead8', finish: 'matte' };

/** A cone of quints over a pole of 5 ft, in rings (common practice: from about 9 in at the foot, by half inches). */
function firstTaper({ part, other = FOAM }: { part: PiecePart; other?: PiecePart | undefined }): PieceDesign {
  return {
    form: 'taper',
    ...{ count: 5, poleMm: inches(60), standMm: inches(0.5), stepMm: inches(1 / 4), topper: null, ceilingMm: null },
    profile: [
      { at: 0, widthMm: inches(9) },
      { at: 1, widthMm: inches(3.6) },
    ],
    colours: [part, other],
    pattern: { kind: 'rings', order: [0, 1], to: 'right', every: 2 },
    painted: [],
  };
}

/** What a rope is strung on: a white modelling balloon, where none is chosen. */
const JOINER: PiecePart = { modelId: null, colourHex: '#f3f0e9', finish: 'matte' };

/** Of 5 in at 4 in a rope of sixty, of 9 in at 7½ in a bow of 35 duplets a side (common practice). */
function firstRope(
  form: 'rope' | 'bow',
  { part, other = FOAM, nominalMm, stepMm }: Omit<Parameters<typeof firstColumn>[0], 'trade'>,
): PieceDesign {
  const of = (share: number) => roundToStep({ mm: share * nominalMm, step: stepMm });
  const colours = {
    colours: [part, other],
    pattern: { kind: 'rings' as const, order: [0, 1], to: 'right' as const, every: 1 },
    painted: [],
  };
  const strung = { count: 2, joiner: JOINER };
  if (form === 'rope')
    return { form, ...strung, ...colours, open: 'height', layers: 30, heightMm: inches(72), widthMm: of(4 / 5) };
  return {
    ...{ form, ...strung, ...colours, widthMm: of(7.5 / 9) },
    ...{ open: 'across', loop: 25, tail: 10, acrossMm: inches(96), knotMm: inches(84) },
  };
}

/** Three quads of 9 in with quads of 4 in between them, a weight at each end (common practice). */
function firstPlinth({ part, other = FOAM }: { part: PiecePart; other?: PiecePart | undefined }): PieceDesign {
  return {
    form: 'plinth',
    ...{ count: 4, clusters: 3, widthMm: inches(9), smallMm: inches(4), weightKg: 1, wind: null, board: null },
    standing: [{ wideMm: inches(18), highMm: inches(30), kg: 0.1 }],
    colours: [part, other],
    pattern: { kind: 'rings', order: [0, 1], to: 'right', every: 1 },
    painted: [],
  };
}

/** Twelve clusters of four in two colours, each second one with a large balloon: some twelve feet (common practice). */
function firstGarland({ part, other = FOAM }: { part: PiecePart; other?: PiecePart | undefined }): PieceDesign {
  const kind = (of: PiecePart, large: boolean) => ({
    inRow: 1,
    balloons: [
      { ...of, widthMm: inches(10), count: 2 },
      { ...of, widthMm: inches(7.5), count: large ? 1 : 2 },
      ...(large ? [{ ...of, modelId: null, widthMm: inches(16), count: 1 }] : []),
    ],
  });
  return {
    form: 'garland',
    path: { kind: 'droop', wideMm: inches(132), highMm: inches(96), dropMm: inches(30) },
    ...{ clusters: 12, decorators: null, seed: 1 },
    kinds: [kind(part, true), kind(part, false), kind(other, true), kind(other, false)],
  };
}

/** A spiral of quads over a double door. */
function firstArch({ part, other = FOAM, nominalMm, stepMm, trade }: Parameters<typeof firstColumn>[0]): PieceDesign {
  return {
    form: 'arch',
    ...{ count: 4, shape: 'ellipse', open: 'layers', layers: 30, standMm: inches(0.5) },
    ...{ spanMm: inches(108), highMm: inches(90) },
    widthMm: roundToStep({ mm: trade.usualFraction * nominalMm, step: stepMm }),
    colours: [part, other],
    pattern: { kind: 'spiral', order: [0, 0, 1, 1], to: 'right', every: 4 },
    painted: [],
  };
}

/** A spiral of quads in two colours, six feet high: filled as most work is. */
function firstColumn({
  part,
  other = FOAM,
  nominalMm,
  stepMm,
  trade,
}: {
  part: PiecePart;
  other?: PiecePart | undefined;
  nominalMm: number;
  stepMm: number;
  trade: Trade;
}): PieceDesign {
  return {
    form: 'column',
    ...{ count: 4, open: 'layers', layers: 8, heightMm: inches(72), standMm: inches(0.5) },
    widthMm: roundToStep({ mm: trade.usualFraction * nominalMm, step: stepMm }),
    ...{ topper: null, heldBy: 'pole', ceilingMm: null },
    colours: [part, other],
    pattern: { kind: 'spiral', order: [0, 0, 1, 1], to: 'right', every: 4 },
    painted: [],
  };
}

/** Nominal sizes of the round balloons that forms are usually made of, in (common practice). */
export const ROUND_IN: Partial<Record<PieceForm, number>> = { column: 11, arch: 11, garland: 11, rope: 5, bow: 9 };

const COUNTS = {
  basket: { count: 6, rings: 2 },
  cup: { count: 6, rings: 3 },
  dome: { count: 8, rings: 2 },
  ball: { count: 6, rings: 1 },
  wreath: { count: 16, rings: 1 },
} as const;
