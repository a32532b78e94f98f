import type { ModelRecord, PiecePart } from '@leggero/contract';

import { partsOf } from '@/views/pairs';

import type { SceneBalloon, Skin } from '../space/scene';

type Skins = Pick<SceneBalloon, 'skin' | 'inner'>;

/** What the parts of a piece look like, each looked up once. */
export function skinsAmong(models: readonly ModelRecord[]): (part: PiecePart) => Skins {
  const known = new Map<PiecePart, Skins>();
  return (part) => {
    const skins = known.get(part) ?? skinsOf(part, models);
    known.set(part, skins);
    return skins;
  };
}

/** What a part of a piece looks like: of a pair both skins. */
function skinsOf(part: PiecePart, models: readonly ModelRecord[]): Skins {
  const model = models.find(({ id }) => id === part.modelId);
  const pair = model ? partsOf(model, models) : null;
  const skin = ({ colourHex: hex, finish }: Pick<PiecePart, 'colourHex' | 'finish'>): Skin => ({ hex, finish });
  return pair ? { skin: skin(pair.outer), inner: skin(pair.inner) } : { skin: skin(part), inner: null };
}
