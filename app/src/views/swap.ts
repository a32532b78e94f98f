import type { ModelRecord, PieceDesign, PiecePart } from '@leggero/contract';
import { chooseNominal, colourDistance, linearOf, oklabOf, type Trade } from '@leggero/core';

/** A part of a piece, with the width it is wanted in where it has one; `long`: a modelling balloon. */
type Part = PiecePart & { widthMm?: number; long?: boolean };

/** Where a design has modelling balloons: what strings or carries it, and a spray on top. */
const LONG_KEYS = ['joiner', 'handle'];
const isSpray = (value: object) => 'kind' in value && value.kind === 'spray';

const isPart = (value: object): value is Part => 'modelId' in value && 'colourHex' in value && 'finish' in value;

/** A design in which some parts are made of other balloons; `instead` answers null for those that stay. */
export function withParts(design: PieceDesign, instead: (part: Part) => PiecePart | null): PieceDesign {
  const walk = (value: unknown, long: boolean): unknown => {
    if (Array.isArray(value)) return value.map((each) => walk(each, long));
    if (value === null || typeof value !== 'object') return value;
    const walked = Object.fromEntries(
      Object.entries(value).map(([key, each]) => [key, walk(each, long || LONG_KEYS.includes(key) || isSpray(value))]),
    );
    return isPart(value) ? { ...walked, ...instead({ ...value, long }) } : walked;
  };
  return walk(design, false) as PieceDesign;
}

export type Sold = Pick<
  ModelRecord,
  'id' | 'line' | 'kind' | 'nominalMm' | 'finish' | 'colourName' | 'colourHex' | 'outerId'
>;

/** The same colour of the same line in every size. */
const alike = (a: Sold, b: Sold) =>
  a.line === b.line && a.kind === b.kind && a.finish === b.finish && a.colourName === b.colourName;

/** Nominal sizes nearer than this are one, mm. */
const ONE_NOMINAL_MM = 1;
const sameNominal = (a: Sold, b: Sold) => Math.abs(a.nominalMm - b.nominalMm) < ONE_NOMINAL_MM;

/** Whether a balloon may be used where another is: a single one of its kind and nominal size. */
export const standsFor = (model: Sold, own: Sold) =>
  model.outerId === null && model.kind === own.kind && sameNominal(model, own);

/** How far one colour is from another, as OKLab has it. */
export const colourApart = (a: { colourHex: string }, b: { colourHex: string }) =>
  colourDistance(oklabOf(linearOf(a.colourHex)), oklabOf(linearOf(b.colourHex)));

export const made = ({ id: modelId, colourHex, finish }: Sold): PiecePart => ({ modelId, colourHex, finish });

/**
 * By what a part is made once one balloon is swapped for another: its colour and line in every size that the other has
 * too; what is of its colour without a balloon by the size that suits its width. `from`: a balloon’s id, or its look.
 */
export function swapOf({
  from,
  to,
  models,
  lookOf,
  daysStanding,
  trade,
}: {
  from: string;
  to: Sold;
  models: readonly Sold[];
  /** How a part without a balloon is named. */
  lookOf: (part: PiecePart) => string;
  daysStanding: number;
  trade: Trade;
}): (part: Part) => PiecePart | null {
  const known = new Map(models.map((model) => [model.id, model]));
  const first = known.get(from);
  // Sizes that the shelf did not have were drawn in its colour.
  const look = first ? lookOf({ ...first, modelId: null }) : from;
  const sizes = models.filter((model) => alike(model, to));
  return (part) => {
    const own = part.modelId === null ? undefined : known.get(part.modelId);
    if (first && own && alike(own, first)) {
      const same = sizes.find((size) => sameNominal(size, own));
      return same ? made(same) : own.id === from ? made(to) : null;
    }
    if (own || lookOf(part) !== look || (part.long ?? false) !== (to.kind === 'modelling')) return null;
    const { widthMm } = part;
    const suited = widthMm === undefined ? null : chooseNominal({ widthMm, daysStanding, models: sizes, trade });
    return made((suited?.ok && suited.value.suited[0]?.model) || to);
  };
}

/** A balloon that may stand in for another. */
export interface StandIn {
  model: ModelRecord;
  /** How far its colour is from the other one's, as OKLab has it. */
  colourApart: number;
}

/** Stand-ins that are offered. */
const MOST_OFFERED = 8;

/**
 * Balloons that may stand in for one, nearest in colour first: of its kind and nominal size; for a colour without a
 * balloon each line's colour once, in its most usual size.
 */
export function standInsFor(
  from: { colourHex: string; model: ModelRecord | null },
  models: readonly ModelRecord[],
): StandIn[] {
  const possible = models.filter((model) => {
    if (from.model) return model.id !== from.model.id && standsFor(model, from.model);
    return model.outerId === null && model.kind === 'round';
  });
  const once = from.model
    ? possible
    : possible.filter((model, i) => possible.findIndex((other) => alike(other, model)) === i);
  return once
    .map((model) => ({ model, colourApart: colourApart(from, model) }))
    .sort((a, b) => a.colourApart - b.colourApart)
    .slice(0, MOST_OFFERED);
}
