import type { DesignOf, PiecePart } from '@leggero/contract';
import { usefulWidths, workToleranceMm, type Problem } from '@leggero/core';
import {
  balloonsOf,
  colourMap,
  noticesOf,
  solveColumn,
  tyingOf,
  type ColourMapProblemCode,
  type ColumnPlan,
  type ColumnProblemCode,
  type MapNotice,
  type StackedBalloon,
  type TyingPlan,
} from '@leggero/core/building';

import { layerTitle } from '@/wording/pieces';

import { modelOf, nominalOf, type Material } from './material';
import type { PieceSize } from './sizes';

/** A balloon of a column, and what it is. */
export interface ColumnBalloon extends StackedBalloon {
  colourHex: string;
  /** Which size it is of. */
  key: string;
}

/** A column worked out. */
export interface ColumnView {
  plan: ColumnPlan;
  balloons: ColumnBalloon[];
  map: number[][];
  tying: TyingPlan;
  notices: MapNotice[];
  sizes: PieceSize[];
}

export type ColumnViewProblem = Problem<ColumnProblemCode | ColourMapProblemCode>;

const colourKey = (colour: number) => `colour-${colour + 1}`;
const TOPPER_KEY = 'topper';

/** Columns of 11 in balloons, where none is chosen (common practice). */
const LOOSE_NOMINAL_MM = 11 * 25.4;

/** A column from its figures: how high it stands, which colour is where, what is tied, and how many of each. */
export function viewColumn(
  design: DesignOf<'column'>,
  basis: Material,
): { ok: true; value: ColumnView } | { ok: false; problem: ColumnViewProblem } {
  const { count, open, layers, widthMm, heightMm, standMm, topper, colours, pattern, painted } = design;
  const { trade } = basis.knowledge;
  const nominals = colours.map((part) => modelOf(part, basis)?.nominalMm ?? LOOSE_NOMINAL_MM);
  const useful = nominals.map((nominalMm) => usefulWidths({ nominalMm, trade }));
  const top = topper?.kind === 'balloon' ? ({ kind: 'balloon', widthMm: topper.part.widthMm } as const) : topper;
  const made = solveColumn({
    column: { count, open, layers, widthMm, heightMm, standMm, topper: top },
    stepMm: basis.studio.stepMm,
    leastMm: Math.max(...useful.map(({ leastMm }) => leastMm)),
    mostMm: Math.min(...useful.map(({ mostMm }) => mostMm)),
    trade,
  });
  if (!made.ok) return made;
  const plan = made.value;
  const mapped = colourMap({ count, layers: plan.layers, pattern, colours: colours.length, painted });
  if (!mapped.ok) return mapped;
  const map = mapped.value;
  const balloons = balloonsOf(plan.stack).map((balloon): ColumnBalloon => {
    const colour = map[balloon.layer]?.[balloon.place];
    if (colour === undefined) return { ...balloon, colourHex: topperPart(design)?.colourHex ?? '', key: TOPPER_KEY };
    return { ...balloon, colourHex: colours[colour]!.colourHex, key: colourKey(colour) };
  });
  const titleOf = (key: string, part: PiecePart) => {
    const name = key === TOPPER_KEY ? undefined : modelOf(part, basis)?.colourName;
    return name === undefined ? layerTitle(key, 'column') : name[0]!.toUpperCase() + name.slice(1);
  };
  const sizeOf = (key: string, many: number, part: PiecePart, width: number): PieceSize => {
    const toleranceMm = workToleranceMm({ work: 'classic', nominalMm: nominalOf(part, basis), trade });
    return { key, title: titleOf(key, part), count: many, widthMm: width, part, toleranceMm };
  };
  const flat = map.flat();
  const sizes = colours.flatMap((part, colour) => {
    const many = flat.filter((each) => each === colour).length;
    return many > 0 ? [sizeOf(colourKey(colour), many, part, plan.widthMm)] : [];
  });
  const part = topperPart(design);
  if (part) sizes.push(sizeOf(TOPPER_KEY, 1, part, part.widthMm));
  return {
    ok: true,
    value: { plan, balloons, map, tying: tyingOf(map), notices: noticesOf({ map, pattern }), sizes },
  };
}

function topperPart({ topper }: DesignOf<'column'>) {
  return topper?.kind === 'balloon' ? topper.part : null;
}
