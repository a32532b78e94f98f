import type { ChainRecord, ModelRecord, PieceDesign, PieceForm, StackRecord, Studio } from '@leggero/contract';
import type { OwnNumber } from '@leggero/core';

import { useStacks } from '@/data/measured';
import { useChains, useConstants, useModels, useStudio } from '@/data/records';
import { namedModels } from '@/views/namedModels';

import type { PlainMaterial } from './material';

/**
 * What of the records a piece is worked out from, and no more: a new reading changes nothing of it. Null until they have
 * come.
 */
export function useMaterials(): ((design: PieceDesign) => PlainMaterial) | null {
  const models = useModels().data;
  const studio = useStudio().data;
  const chains = useChains().data;
  const stacks = useStacks().data;
  const constants = useConstants().data;
  if (!(models && studio && chains && stacks && constants)) return null;
  return (design) => materialOf(design, { models, studio, chains, stacks, constants });
}

/** Of the records what a design is worked out from. */
function materialOf(
  design: PieceDesign,
  {
    models,
    studio,
    chains,
    stacks,
    constants,
  }: {
    models: readonly ModelRecord[];
    studio: Studio;
    chains: readonly ChainRecord[];
    stacks: readonly StackRecord[];
    constants: readonly OwnNumber[];
  },
): PlainMaterial {
  const named = new Set(namedModels(design));
  const chooses = CHOOSING.includes(design.form);
  const own = models
    .filter(({ id, kind }) => named.has(id) || (chooses && kind === 'round'))
    .map(({ id, nominalMm, lengthMm, kind, finish, colourName, outerId }) => {
      const sold = { id, nominalMm, lengthMm, kind };
      return chooses ? { ...sold, finish, colourName, outerId } : sold;
    });
  return {
    knowledge: { models: own.filter(({ kind }) => kind !== 'modelling') },
    longs: own.filter(({ kind }) => kind === 'modelling'),
    studio: { stepMm: studio.stepMm },
    stacks: isLayered(design) ? stacks.map(({ layers, heightMm }) => ({ layers, heightMm })) : [],
    chains: chains.filter(({ modelId }) => named.has(modelId)),
    own: constants.map(({ key, value }) => ({ key, value })),
  };
}

const LAYERED: readonly PieceForm[] = ['column', 'taper', 'arch', 'hoop', 'rope', 'bow', 'plinth'];
/** Those that look for each of their sizes among all that the shelf has of their colours. */
const CHOOSING: readonly PieceForm[] = ['taper', 'hoop', 'plinth'];
const isLayered = ({ form }: PieceDesign) => LAYERED.includes(form);
