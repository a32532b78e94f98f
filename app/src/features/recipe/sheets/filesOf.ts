import type { ChainRecord, EventRecord, ModelRecord, PieceRecord } from '@leggero/contract';
import type { EventFile } from '@leggero/contract/eventFile';

import { targetsFor } from '@/parts/piece/sizeTarget';
import { eventFileOf } from '@/views/eventFile';
import { batchMark } from '@/wording/batchMark';

import { lookIn } from '@/parts/look';
import type { EventWork } from '@/parts/useEventWork';

interface FileOf {
  event: EventRecord;
  pieces: readonly PieceRecord[];
  models: readonly ModelRecord[];
  chains: readonly ChainRecord[];
  work: EventWork;
}

/** An event as the file that another studio takes in, with what each size is filled to here. */
export function fileOfEvent({ event, pieces, models, chains, work }: FileOf): EventFile {
  const { basis, recipe, asked, works } = work;
  const filled = pieces.flatMap(({ id: pieceId }): EventFile['filled'] => {
    const own = asked.get(pieceId);
    const made = works.find(({ piece }) => piece === pieceId);
    if (!own || !made) return [];
    const fills = new Map(made.sizes.map(({ key, fillMm }) => [key, fillMm]));
    const targets = targetsFor(own.sizes, basis);
    return own.sizes.flatMap(({ key, part, widthMm: wantedMm }) => {
      if (part.modelId === null) return [];
      const target = targets.get(key);
      const fillMm = fills.get(key) ?? wantedMm;
      const dose = target?.dose ?? null;
      return [{ pieceId, modelId: part.modelId, wantedMm, fillMm, dose, origin: target?.origin ?? ('rule' as const) }];
    });
  });
  return eventFileOf({
    ...{ event, pieces, models, chains, filled },
    recipe: recipe.batches.map(({ balloon, fillMm, toleranceMm, count, bags }, i) => {
      const { name, colour } = lookIn(balloon, models);
      return { mark: batchMark(i), balloon: name, colourHex: colour, fillMm, toleranceMm, count, bags };
    }),
  });
}
