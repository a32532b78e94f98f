import type { DesignOf, PiecePart } from '@leggero/contract';
import { chooseNominal, MM_PER_INCH, usefulWidths, type Problem } from '@leggero/core';
import {
  balloonsOf,
  fitTaper,
  leastTopperMm,
  stackLayers,
  type ColourMapProblemCode,
  type Stack,
  type TaperPlan,
  type TaperProblemCode,
} from '@leggero/core/building';

import { coloured, colourTitle, type Coloured } from './colouring';
import { modelOf, packingOf, type Material } from './material';
import { onTop } from './toppers';

/** A layer of a taper: its width, and the nominal size it is made from. */
export interface TaperLayer {
  widthMm: number;
  /** Of the shelf; null where none there suits, of one of its colours. */
  nominalMm: number | null;
}

/** A taper worked out. */
export type TaperView = Coloured & {
  plan: TaperPlan;
  /** With the topper, where that is a balloon. */
  stack: Stack;
  layers: TaperLayer[];
  /** Over all, from the floor, mm. */
  heightMm: number;
  /** The topper where it looks lost on the topmost layer: the least that does not, mm. */
  leastTopperMm: number | null;
};

/** Sizes that are there in most studios, where the shelf says nothing, mm. */
const USUAL = { leastMm: 2 * MM_PER_INCH, mostMm: 16 * MM_PER_INCH };

/** A taper from its silhouette: its layers on steps, from which nominal each, and everything that colours bring. */
export function viewTaper(
  design: DesignOf<'taper'>,
  basis: Material,
): { ok: true; value: TaperView } | { ok: false; problem: Problem<TaperProblemCode | ColourMapProblemCode> } {
  const { count, profile, poleMm, standMm, stepMm, topper, colours } = design;
  const { trade } = basis.knowledge;
  const shelves = colours.map((part) => sizesOf(part, basis));
  const useful = shelves.flat().map(({ nominalMm }) => usefulWidths({ nominalMm, trade }));
  const { packing } = packingOf(basis);
  const made = fitTaper({
    ...{ count, profile, stepMm, packing, trade },
    heightMm: poleMm - standMm,
    leastMm: useful.length === 0 ? USUAL.leastMm : Math.min(...useful.map(({ leastMm }) => leastMm)),
    mostMm: useful.length === 0 ? USUAL.mostMm : Math.max(...useful.map(({ mostMm }) => mostMm)),
  });
  if (!made.ok) return made;
  const plan = made.value;
  const { widthsMm } = plan;
  const top = onTop(topper);
  const crown = top?.kind === 'balloon' ? [{ count: 1, widthMm: top.widthMm }] : [];
  const stacked = stackLayers({
    layers: [...widthsMm.map((widthMm) => ({ count, widthMm })), ...crown],
    packing,
    trade,
  });
  if (!stacked.ok) return { ok: false, problem: { ...stacked.problem, field: 'topper' } as typeof stacked.problem };
  const stack = stacked.value;
  const chosen = modelFor(shelves, basis);
  const found = coloured(design, { balloons: balloonsOf(stack), layers: widthsMm.length }, basis, (layer, colour) =>
    sizeOf({ part: colours[colour]!, colour, widthMm: widthsMm[layer]! }, chosen, basis),
  );
  if (!found.ok) return found;
  return {
    ok: true,
    value: {
      ...found.value,
      plan,
      stack,
      layers: widthsMm.map((widthMm, layer) => {
        // One colour of a layer that is not there in such a size is enough.
        const nominals = found.value.map[layer]!.map((colour) => chosen(colour, widthMm)?.nominalMm ?? null);
        return { widthMm, nominalMm: nominals.includes(null) ? null : nominals[0]! };
      }),
      heightMm: standMm + stack.heightMm + (top?.kind === 'figure' ? top.heightMm : 0),
      leastTopperMm: leastTopperMm({ topper: top, widthMm: widthsMm.at(-1)!, trade }),
    },
  };
}

export type Sold = Material['knowledge']['models'][number];

/** From which of a colour's sizes a width is made: the smallest that suits; undefined where none does. */
export const modelFor =
  (shelves: readonly Sold[][], { studio, knowledge }: Material) =>
  (colour: number, widthMm: number): Sold | undefined => {
    const daysStanding = studio.daysStanding ?? 0;
    const found = chooseNominal({ widthMm, daysStanding, models: shelves[colour]!, trade: knowledge.trade });
    return found.ok ? found.value.suited[0]?.model : undefined;
  };

/** One width of one colour as a size of a piece. */
export function sizeOf(
  { part, colour, widthMm }: { part: PiecePart; colour: number; widthMm: number },
  chosen: ReturnType<typeof modelFor>,
  basis: Material,
) {
  const model = chosen(colour, widthMm);
  return {
    key: `layer-${widthMm.toFixed(2)}-${colour + 1}`,
    title: colourTitle(part, colour, basis),
    part: part.modelId === null || !model ? part : { ...part, modelId: model.id },
    widthMm,
  };
}

/** The sizes that a colour is there in: of its own name and finish; of any name, where no balloon is chosen. */
export function sizesOf(part: PiecePart, { knowledge }: Pick<Material, 'knowledge'>): Sold[] {
  const model = modelOf(part, { knowledge });
  const round = knowledge.models.filter(({ kind = 'round', outerId = null }) => kind === 'round' && outerId === null);
  const ofFinish = round.filter(({ finish }) => finish === (model?.finish ?? part.finish));
  if (!model) return part.modelId === null ? ofFinish : [];
  const alike = ofFinish.filter(({ colourName }) => colourName === model.colourName);
  return alike.length > 0 ? alike : [model];
}
