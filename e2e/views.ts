import { randomUUID } from 'node:crypto';

import type { ModelDetail, PieceRecord, ShelfModel, SizerRecord, StudyRecord } from '@leggero/contract';

import type { World } from './world';

/** Every view of the demo: what it is, and its address. */
export async function viewsOf(world: World): Promise<[name: string, address: string][]> {
  const { get } = world;
  const shelf = await get<ShelfModel[]>('models');
  const eleven = await get<ModelDetail>(`models/${standardEleven(shelf).id}`);
  const [sizer] = await get<SizerRecord[]>('sizers');
  const pieces = await get<PieceRecord[]>('pieces');
  const [study] = await get<StudyRecord[]>('studies');
  const first = (is: (model: ShelfModel) => boolean) => shelf.find(is)!.id;
  const pair = first(({ outerId, seenHex }) => outerId !== null && seenHex !== null);
  const long = first(({ kind }) => kind === 'modelling');
  const mirror = first(({ finish, kind }) => finish === 'mirror' && kind === 'round');
  const { eventId } = pieces.find(({ eventId: of }) => of !== null)!;
  const [going, begun] = await runsBegun(world, eventId!, eleven);
  await putUp(world, eventId!, { pieceId: pieces.find((piece) => piece.eventId === eventId)!.id, model: eleven });
  return [
    ['bench', '/bench'],
    ['searching', '/search'],
    ['found', '/search?q=satin'],
    ['first balloons', '/start?step=balloons'],
    ['first pump', '/start?step=pump'],
    ['first sizer', '/start?step=sizer'],
    ['first filling', '/start?step=reading'],
    ['shelf', '/shelf'],
    ['balloon', `/shelf/${eleven.id}`],
    ['balloon for a hot venue', `/shelf/${eleven.id}?temp=35&alt=600&hours=12&wraps=1`],
    ['hold tests', `/shelf/${eleven.id}/hold`],
    ['a balloon’s stock', `/shelf/${eleven.id}/stock`],
    ['stock', '/shelf/stock'],
    ['comparing', '/shelf/compare'],
    ['finding', '/shelf/find'],
    ['files', '/shelf/files'],
    ['target sheets', '/shelf/sheet'],
    ['translating', '/gauges/translate'],
    ['reading', `/shelf/${eleven.id}/reading`],
    ['verdict', `/shelf/${eleven.id}/check/${eleven.checks[0]!.id}`],
    ['pairing', '/shelf/pair'],
    ['a pair', `/shelf/${pair}`],
    ['stuffing', `/shelf/${pair}/stuffing`],
    ['a bubble', '/shelf/bubble'],
    ['a bubble that cannot be', '/shelf/bubble?find=innerMm&finalMm=300'],
    ['a sphere in clear latex', '/shelf/orb'],
    ['a modelling balloon', `/shelf/${long}`],
    ['modelling shapes', `/shelf/${long}?for=shapes`],
    ['joiners', `/shelf/${long}?for=join`],
    ['a pole', `/shelf/${long}?for=pole`],
    ['details of a modelling balloon', `/shelf/${long}/edit`],
    ['a foil', `/shelf/${first(({ kind }) => kind === 'foil')}`],
    ['a stretchy sphere', `/shelf/${first(({ kind }) => kind === 'stretch-foil')}`],
    ['a mirror’s shine', `/shelf/${mirror}/finish`],
    ['confetti', `/shelf/${first(({ decor }) => decor === 'confetti')}/finish`],
    ['a print', `/shelf/${first(({ decor }) => decor === 'print')}`],
    ['new balloon', '/shelf/new'],
    ['details', `/shelf/${eleven.id}/edit`],
    ['gauges', '/gauges'],
    ['sizer', `/gauges/sizers/${sizer!.id}`],
    ['checking a sizer', `/gauges/sizers/${sizer!.id}/check`],
    ['learning a squeeze', `/gauges/sizers/${sizer!.id}/squeeze`],
    ['finding a hole', '/gauges/holes'],
    ['sizers compared', '/gauges/compare'],
    ['making a sizer', '/gauges/make?form=box'],
    ['eyes', '/gauges/eye'],
    ['starting an eye check', '/gauges/eye/new'],
    ['studies', '/gauges/studies'],
    ['a study', `/gauges/studies/${study!.id}`],
    ['new pump', '/gauges/pumps/new'],
    ['new piece', '/builds/new'],
    ['new event', '/builds/events/new'],
    ['an event', `/builds/events/${eventId}`],
    ...['right', 'built', 'back'].map((part): [string, string] => [
      `the site of an event: ${part}`,
      `/builds/events/${eventId}/site?part=${part}`,
    ]),
    ...['recipe', 'schedule', 'morning', 'site', 'shopping', 'money', 'swap', 'sheet', 'versions'].map(
      (page): [string, string] => {
        return [`${page} of an event`, `/builds/events/${eventId}/${page}`];
      },
    ),
    ['which station this is', going],
    ['a station', `${going}?station=Table%201`],
    ['a station whose batch is through', begun],
    ...pieces
      .filter(({ design }) => ['column', 'hoop', 'bow', 'basket', 'curtain', 'ring'].includes(design.form))
      .map(({ id, name }): [string, string] => [name, `/builds/${id}`]),
    ['the logbook', '/logbook'],
    ['the log of a balloon', `/logbook/${eleven.id}`],
    ['studio', '/studio'],
    ['who changed what', '/studio/trail'],
    ['backups', '/studio/backups'],
    ['the numbers of the trade', '/studio/numbers'],
    ['one of them', '/studio/numbers/workTolerance'],
  ];
}

/** The demo's balloon that most is known of. */
export function standardEleven(shelf: readonly ShelfModel[]): ShelfModel {
  return shelf.find(({ line, nominalMm }) => line === 'Fennimore Standard' && Math.round(nominalMm) === 279)!;
}

/** An inflation run that goes on: where it asks for a station, and a station of it whose batch is through. */
async function runsBegun({ put }: World, eventId: string, model: ModelDetail): Promise<[string, string]> {
  const [inflationId, first, second, turnId] = Array.from({ length: 4 }, () => randomUUID());
  const startedAt = new Date().toISOString();
  await put('inflations', { id: inflationId!, eventId, startedAt });
  const about = { inflationId, modelId: model.id, colourHex: model.colourHex, toleranceMm: 6.35, timed: false };
  await put('inflation-batches', { ...about, id: first!, key: 'a', place: 0, fillMm: 241.3, count: 60, dose: 7 });
  await put('inflation-batches', { ...about, id: second!, key: 'b', place: 1, fillMm: 229, count: 2, dose: null });
  await put('turns', { id: turnId!, batchId: second, station: 'Table 2', atOnce: 2, startedAt });
  await put('tallies', { id: randomUUID(), turnId, what: 'done', count: 2, at: startedAt });
  const page = `/builds/events/${eventId}/run`;
  return [page, `${page}?station=Table%202&two=1&batch=${second}`];
}

/** A small picture, grey. */
const PICTURE =
  'data:image/jpeg;base64,/9j/4AAQSkZJRgABAQEASABIAAD/2wBDAP//////////////////////////////////////////////////////////' +
  '////////////////////////////wAALCAABAAEBAREA/8QAFAABAAAAAAAAAAAAAAAAAAAAA//EABQQAQAAAAAAAAAAAAAAAAAAAAD/2gAIAQEAAD8A' +
  'N//Z';

/** What a place has once an event is up: something to put right, a photo of it, a repair, a size as built. */
async function putUp(
  { put }: World,
  eventId: string,
  { pieceId, model }: { pieceId: string; model: ModelDetail },
): Promise<void> {
  const [snagId, at] = [randomUUID(), new Date().toISOString()];
  const of = { eventId, pieceId, at };
  await put('snags', { id: snagId, ...of, text: 'A gap low down, on the door side' });
  await put('photos', { id: randomUUID(), eventId, key: snagId, picture: PICTURE, at });
  await put('as-built', { id: randomUUID(), ...of, measure: 'high', drawnMm: 1794, builtMm: 1765 });
  const { id: modelId, colourHex } = model;
  await put('repairs', { id: randomUUID(), ...of, modelId, colourHex, cause: 'popped', reckonedMm: 236, fillMm: 235 });
  await put('stock-entries', { id: randomUUID(), modelId, eventId, change: 'out', count: 150, at });
}
