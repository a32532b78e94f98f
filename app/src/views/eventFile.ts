import {
  modelLabel,
  type ChainRecord,
  type EventRecord,
  type ModelRecord,
  type PieceRecord,
  type Write,
} from '@leggero/contract';
import { EVENT_FILE, type EventFile } from '@leggero/contract/eventFile';

import { inCommands } from './inCommands';
import { namedModels, renamedModels } from './namedModels';

/** What an event's file is put together of. */
interface FileOf {
  event: EventRecord;
  pieces: readonly PieceRecord[];
  models: readonly ModelRecord[];
  chains: readonly ChainRecord[];
  filled: EventFile['filled'];
  recipe: EventFile['recipe'];
}

/** An event as a file, with the balloons that its pieces name, and what those that they may choose from. */
export function eventFileOf({ event, pieces, models, chains, filled, recipe }: FileOf): EventFile {
  const { id: _, client: __, plan: ___, state: ____, createdAt: _____, demo: ______, ...said } = event;
  const known = new Map(models.map((model) => [model.id, model]));
  const named = new Set(pieces.flatMap(({ design }) => namedModels(design)));
  for (const { modelId } of filled) named.add(modelId);
  // Pieces that look for their sizes themselves find them among all of one colour.
  const wanted = models.filter((model) =>
    [...named].some((id) => {
      const own = known.get(id);
      return own && own.line === model.line && own.colourName === model.colourName && own.finish === model.finish;
    }),
  );
  const pairs = wanted.flatMap(({ outerId, innerId }) =>
    [outerId, innerId].flatMap((id) => (id && known.get(id)) || []),
  );
  const all = [...new Set([...pairs, ...wanted])];
  const ids = new Set(all.map(({ id }) => id));
  return {
    ...(EVENT_FILE as Pick<EventFile, 'format' | 'version'>),
    event: said,
    models: all.map(({ demo, stock, seenHex, ...model }) => model),
    chains: chains.filter(({ modelId }) => ids.has(modelId)).map(({ id, ...chain }) => chain),
    pieces: pieces.map(({ id, name, design, copies }) => ({ id, name, design, copies })),
    filled: filled.filter(({ modelId }) => ids.has(modelId)),
    recipe,
  };
}

/** What takes an event's file in. */
export interface TakenIn {
  eventId: string;
  /** In commands: each is kept whole or not at all. */
  commands: Write[][];
  /** Balloons that were not on the shelf. */
  newModels: number;
}

/**
 * What takes an event's file into a studio: its balloons where the shelf has none that is called the same, its event and
 * pieces under new ids, each size filled as it was where the file was made.
 */
export function eventFromFile(
  file: EventFile,
  models: readonly ModelRecord[],
  { newId, at }: { newId: () => string; at: string },
): TakenIn {
  const byLabel = new Map(
    models.filter(({ outerId }) => outerId === null).map((model) => [modelLabel(model), model.id]),
  );
  const ids = new Map<string, string>();
  const made: Write[] = [];
  const chains: Write[] = [];
  // Pairs come after the two that they are made of.
  for (const { id, outerId, innerId, ...model } of [...file.models].sort(
    (a, b) => Number(!!a.outerId) - Number(!!b.outerId),
  )) {
    const outer = outerId && ids.get(outerId);
    const inner = innerId && ids.get(innerId);
    if ((outerId && !outer) || (innerId && !inner)) continue;
    const there = outer
      ? models.find((each) => each.outerId === outer && each.innerId === inner)?.id
      : byLabel.get(modelLabel(model));
    const own = there ?? newId();
    ids.set(id, own);
    if (there) continue;
    made.push({
      put: 'model',
      row: { ...model, id: own, outerId: outer || null, innerId: inner || null, stock: null, seenHex: null },
    });
    for (const chain of file.chains)
      if (chain.modelId === id) chains.push({ put: 'chain', row: { ...chain, id: newId(), modelId: own } });
  }
  const eventId = newId();
  const pieceIds = new Map(file.pieces.map(({ id }) => [id, newId()]));
  const event: Write = {
    put: 'event',
    row: { ...file.event, id: eventId, client: '', plan: null, state: 'planned', createdAt: at },
  };
  const pieces = file.pieces.map(({ id, name, design, copies }): Write => {
    const row = { id: pieceIds.get(id)!, name, copies, design: renamedModels(design, ids), eventId, createdAt: at };
    return { put: 'piece', row };
  });
  const fixings = file.filled.flatMap(({ pieceId, modelId, ...filled }): Write[] => {
    const [piece, model] = [pieceIds.get(pieceId), ids.get(modelId)];
    return piece && model
      ? [{ put: 'fixing', row: { ...filled, id: newId(), pieceId: piece, modelId: model, fixedAt: at } }]
      : [];
  });
  const commands = [...inCommands(made), [event, ...pieces], ...inCommands([...chains, ...fixings])];
  return { eventId, commands, newModels: made.length };
}
