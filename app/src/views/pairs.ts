import type { ModelRecord } from '@leggero/contract';
import {
  learnOpacities,
  stuffedColour,
  type SeenColour,
  type SkinOpacities,
  type StretchedSkin,
  type StuffedColour,
  type Trade,
} from '@leggero/core';
import { weakMapMemoize } from 'reselect';

/** The two balloons of a pair. */
export interface Parts<Model extends ModelRecord> {
  outer: Model;
  inner: Model;
}

/** Which two of `models` a pair is made of; null for a single balloon, and while one of them has not come. */
export function partsOf<Model extends ModelRecord>(
  { outerId, innerId }: Pick<ModelRecord, 'outerId' | 'innerId'>,
  models: readonly Model[],
): Parts<Model> | null {
  if (outerId === null || innerId === null) return null;
  const outer = models.find(({ id }) => id === outerId);
  const inner = models.find(({ id }) => id === innerId);
  return outer && inner ? { outer, inner } : null;
}

/** How far a pair is filled when its colour is looked at, as a share of its smaller nominal. */
const LOOKED_AT = 0.85;

/** Both skins at the width at which a pair's colour is looked at. */
function stretchedSkins({ outer, inner }: Parts<ModelRecord>): {
  outer: StretchedSkin;
  inner: StretchedSkin;
} {
  const widthMm = LOOKED_AT * Math.min(outer.nominalMm, inner.nominalMm);
  const skin = ({ colourHex, finish, nominalMm }: ModelRecord) => ({
    colourHex,
    finish,
    fraction: widthMm / nominalMm,
  });
  return { outer: skin(outer), inner: skin(inner) };
}

/** What the colours saved on a shelf teach of how much each finish hides. */
export function opacitiesOf(models: readonly ModelRecord[], trade: Trade): SkinOpacities {
  return learnOpacities(
    models.flatMap((model): SeenColour[] => {
      const parts = model.seenHex === null ? null : partsOf(model, models);
      return parts && model.seenHex !== null ? [{ ...stretchedSkins(parts), seenHex: model.seenHex }] : [];
    }),
    trade,
  );
}

/** What a pair is expected to look like. */
export function expectedColour(parts: Parts<ModelRecord>, opacities: SkinOpacities, trade: Trade): StuffedColour {
  return stuffedColour({ ...stretchedSkins(parts), opacities, trade });
}

/**
 * Dresses models of a shelf in the colour they show: a pair's own once it was seen, else the estimated one. The very
 * same model where nothing changes.
 */
export function dresserOf(
  models: readonly ModelRecord[],
  trade: Trade,
): <Model extends ModelRecord>(model: Model) => Model {
  let opacities: SkinOpacities | null = null;
  return (model) => {
    if (model.seenHex !== null) return inColour(model, model.seenHex) as typeof model;
    const parts = partsOf<ModelRecord>(model, models);
    if (!parts) return model;
    opacities ??= opacitiesOf(models, trade);
    return inColour(model, expectedColour(parts, opacities, trade).colourHex) as typeof model;
  };
}

/** A model in a colour; the very same for the very same of both. */
const inColour = weakMapMemoize((model: ModelRecord, colourHex: string): ModelRecord => ({ ...model, colourHex }));
