import type { DesignOf, PiecePart } from '@leggero/contract';
import { MM_PER_INCH, usefulWidths, workToleranceMm, type Result } from '@leggero/core';
import {
  colourMap,
  noticesOf,
  tyingOf,
  type ColourMapProblemCode,
  type MapNotice,
  type StackedBalloon,
  type TyingPlan,
} from '@leggero/core/building';

import { layerTitle } from '@/wording/pieces';

import { modelOf, packingOf, type Material } from './material';
import type { PieceSize } from './sizes';

/** A piece of layers in colours. */
export type LayeredDesign = DesignOf<'column' | 'taper'>;

/** A balloon of a stack, and what it is. */
export interface ColumnBalloon extends StackedBalloon {
  colourHex: string;
  /** Which size it is of. */
  key: string;
}

/** The colours of a stack: where each is, what is tied, and which sizes there are. */
export interface Coloured {
  balloons: ColumnBalloon[];
  map: number[][];
  tying: TyingPlan;
  notices: MapNotice[];
  sizes: PieceSize[];
}

/** One size of a layered piece before it is counted. */
export interface SizeAsked {
  key: string;
  title: string;
  part: PiecePart;
  widthMm: number;
}

const TOPPER_KEY = 'topper';
/** Layers are of 11 in balloons, where none is chosen (common practice). */
const LOOSE_NOMINAL_MM = 11 * MM_PER_INCH;

/** A colour as the shelf calls it, to begin a line with. */
export function colourTitle(part: PiecePart, colour: number, basis: Material): string {
  const name = modelOf(part, basis)?.colourName;
  return name === undefined ? layerTitle(`colour-${colour + 1}`, 'column') : name[0]!.toUpperCase() + name.slice(1);
}

/** Colours laid over the balloons of layers: `sizeAt` says of which size the balloon of a colour in a layer is. */
export function coloured(
  {
    count,
    colours,
    pattern,
    painted,
    topper,
  }: Pick<LayeredDesign, 'count' | 'colours' | 'pattern' | 'painted' | 'topper'>,
  { balloons: placed, layers }: { balloons: readonly StackedBalloon[]; layers: number },
  basis: Material,
  sizeAt: (layer: number, colour: number) => SizeAsked,
): Result<Coloured, ColourMapProblemCode> {
  const mapped = colourMap({ count, layers, pattern, colours: colours.length, painted });
  if (!mapped.ok) return mapped;
  const map = mapped.value;
  const top = topper?.kind === 'balloon' ? topper.part : null;
  const { trade } = basis.knowledge;
  const sizes = new Map<string, PieceSize>();
  const one = ({ key, title, part, widthMm }: SizeAsked): string => {
    const known = sizes.get(key);
    if (known) known.count += 1;
    else {
      const nominalMm = modelOf(part, basis)?.nominalMm ?? LOOSE_NOMINAL_MM;
      const toleranceMm = workToleranceMm({ work: 'classic', nominalMm, trade });
      sizes.set(key, { key, title, count: 1, widthMm, part, toleranceMm });
    }
    return key;
  };
  const balloons = placed.map((balloon): ColumnBalloon => {
    const colour = map[balloon.layer]?.[balloon.place];
    if (colour !== undefined)
      return { ...balloon, colourHex: colours[colour]!.colourHex, key: one(sizeAt(balloon.layer, colour)) };
    const part = top ?? colours[0]!;
    const key = one({ key: TOPPER_KEY, title: layerTitle(TOPPER_KEY, 'column'), part, widthMm: balloon.widthMm });
    return { ...balloon, colourHex: part.colourHex, key };
  });
  return {
    ok: true,
    value: { balloons, map, tying: tyingOf(map), notices: noticesOf({ map, pattern }), sizes: [...sizes.values()] },
  };
}

/** A size a colour, all of one width. */
export const colourSize =
  (colours: readonly PiecePart[], widthMm: number, basis: Material) =>
  (_layer: number, colour: number): SizeAsked => ({
    key: `colour-${colour + 1}`,
    title: colourTitle(colours[colour]!, colour, basis),
    part: colours[colour]!,
    widthMm,
  });

/** What the balloons of its colours are all useful in, and how the studio builds. */
export function givenBy({ colours }: Pick<LayeredDesign, 'colours'>, basis: Material) {
  const { trade } = basis.knowledge;
  const useful = colours
    .map((part) => modelOf(part, basis)?.nominalMm ?? LOOSE_NOMINAL_MM)
    .map((nominalMm) => usefulWidths({ nominalMm, trade }));
  return {
    ...{ stepMm: basis.studio.stepMm, packing: packingOf(basis).packing, trade },
    leastMm: Math.max(...useful.map(({ leastMm }) => leastMm)),
    mostMm: Math.min(...useful.map(({ mostMm }) => mostMm)),
  };
}

/** Balloons of a piece, whatever their size. */
export const balloonsIn = ({ sizes }: Pick<Coloured, 'sizes'>) => sizes.reduce((sum, { count }) => sum + count, 0);
