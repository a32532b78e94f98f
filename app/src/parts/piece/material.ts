import type { ChainRecord, PiecePart, ShelfModel, StackRecord, Studio } from '@leggero/contract';
import {
  MM_PER,
  normalQuantile,
  STEP_MM,
  usefulWidths,
  workToleranceMm,
  type Trade,
  type OwnNumber,
  tradeWith,
} from '@leggero/core';
import { learnPacking, type LearnedPacking } from '@leggero/core/building';
import { jointFor, type Joint } from '@leggero/core/linking';
import type { ModellingSize } from '@leggero/core/modelling';

/** What the balloons of a piece are worked out from beside its own design. */
export interface Material {
  knowledge: {
    models: readonly (Pick<ShelfModel, 'id' | 'nominalMm'> &
      Partial<Pick<ShelfModel, 'colourName' | 'finish' | 'kind' | 'outerId'>>)[];
    trade: Trade;
  };
  studio: Pick<Studio, 'stepMm'> & Partial<Pick<Studio, 'daysStanding'>>;
  chains: readonly ChainRecord[];
  /** Stacks that were measured. */
  stacks: readonly Pick<StackRecord, 'layers' | 'heightMm'>[];
  /** Modelling balloons, for handles. */
  longs: readonly Pick<ShelfModel, 'id' | 'nominalMm' | 'lengthMm'>[];
}

/** The same as it travels: with the studio's own numbers in place of the whole table. */
export interface PlainMaterial extends Omit<Material, 'knowledge'> {
  knowledge: Omit<Material['knowledge'], 'trade'>;
  own: readonly OwnNumber[];
}

export function materialFrom({ own, knowledge, ...rest }: PlainMaterial): Material {
  return { ...rest, knowledge: { ...knowledge, trade: tradeWith(own) } };
}

/** A nominal for parts whose balloon is not chosen or is gone: small linking balloons are 6 in (common practice). */
const LOOSE_NOMINAL_MM = 6 * MM_PER.in;

export function modelOf<Model extends Pick<ShelfModel, 'id'>>(
  part: PiecePart,
  { knowledge }: { knowledge: { models: readonly Model[] } },
): Model | undefined {
  return knowledge.models.find(({ id }) => id === part.modelId);
}

/** Balloons of the shelf that look as one does, in whatever size: of its kind, colour and finish. */
export function likeModels(
  model: Material['knowledge']['models'][number],
  { knowledge }: Pick<Material, 'knowledge'>,
): Material['knowledge']['models'][number][] {
  const { kind, colourName, finish } = model;
  return knowledge.models.filter(
    (each) => each.kind === kind && each.colourName === colourName && each.finish === finish,
  );
}

export function nominalOf(
  part: PiecePart,
  { knowledge }: { knowledge: Pick<Material['knowledge'], 'models'> },
): number {
  return modelOf(part, { knowledge })?.nominalMm ?? LOOSE_NOMINAL_MM;
}

/** What knot and tail of a part take, from its own measured chains. */
export function jointOf(part: PiecePart, basis: Material): Joint {
  const nominalMm = nominalOf(part, basis);
  const chains = basis.chains.filter(({ modelId }) => modelId === part.modelId);
  return jointFor({ nominalMm, chains, trade: basis.knowledge.trade });
}

/** How high layers stand here: by the stacks that were measured, or by what the trade has until there are any. */
export function packingOf({ stacks, knowledge: { trade } }: Pick<Material, 'stacks' | 'knowledge'>): LearnedPacking {
  const learned = learnPacking({ stacks: stacks.slice(0, MOST_STACKS), trade });
  if (stacks.length > 0 && learned.ok) return learned.value;
  const reach = normalQuantile(0.975) * trade.packingSd;
  return { packing: trade.packing, interval: [trade.packing - reach, trade.packing + reach], stacks: [] };
}

/** The newest say enough. */
const MOST_STACKS = 40;

/** The widths that a part is useful in, mm. */
export function usefulOf(
  part: PiecePart,
  { knowledge }: Pick<Material, 'knowledge'>,
): { leastMm: number; mostMm: number } {
  return usefulWidths({ nominalMm: nominalOf(part, { knowledge }), trade: knowledge.trade });
}

/** How far a balloon of linking work may be off where nothing closes, mm either way. */
export function linkToleranceMm(nominalMm: number, { knowledge }: Pick<Material, 'knowledge'>): number {
  return workToleranceMm({ work: 'linking', nominalMm, trade: knowledge.trade });
}

/** A modelling balloon by its size; a 260 where none is chosen, or its length is not known (common practice). */
export function longOf(model: Material['longs'][number] | undefined): ModellingSize {
  if (!model?.lengthMm) return { code: '260', widthMm: 2 * MM_PER.in, lengthMm: 60 * MM_PER.in };
  return { code: '', widthMm: model.nominalMm, lengthMm: model.lengthMm };
}

/** The least that a check can tell, mm. */
export const FINEST_MM = STEP_MM.millimetre / 2;
