import type { MakeInputOf, NounName } from '@leggero/contract';
import { v5 } from 'uuid';

const SPACE = '7d6f1a52-6d1c-4b39-9c0e-3f2a8f0b5c11';
const AT = '2026-11-17T09:00:00.000Z';

/** The id of the sample number `at` of a noun. */
export const sampleId = (name: NounName, at = 0) => v5(`${name} ${at}`, SPACE);

/** A row of each noun that can be made, the first of each hanging on the first of the others. */
export function sample<N extends NounName>(name: N, at = 0): MakeInputOf<N> {
  const id = sampleId(name, at);
  const of = (other: NounName) => sampleId(other, 0);
  const samples: { [Name in NounName]: () => MakeInputOf<Name> } = {
    studio: () => ({
      ...{ id, name: 'Brine Street', unit: 'in', stepMm: 3.175, daysStanding: 1, workroomTempC: 21 },
      workroomAltitudeM: 0,
    }),
    tier: () => ({
      ...{ id, name: `Tier ${at}`, fraction: 0.35, leastFraction: 0.32, mostFraction: 0.38, purpose: '' },
      position: 9,
    }),
    constant: () => ({ id, key: ['roundAspect', 'headroomMm'][at % 2]!, value: [1.07, 2200][at % 2]! }),
    person: () => ({ id, name: `Pell ${at}` }),
    pump: () => ({ id, name: `Pump ${at}`, kind: 'hand', doseVolumeL: 0.25 }),
    sizer: () => ({ id, name: `Plate ${at}` }),
    hole: () => ({ id, sizerId: of('sizer'), label: String(at), widthMm: 100 + at }),
    holeMeasurement: () => ({ id, holeId: of('hole'), acrossMm: 101, downMm: null, way: 'caliper', takenAt: AT }),
    sizing: () => ({ id, holeId: of('hole'), nominalMm: 279.4, widthMm: 102, takenAt: AT }),
    model: () => ({
      ...{ id, line: `Fennimore ${at}`, kind: 'round', nominalMm: 279.4, finish: 'matte', colourName: 'kelp' },
      colourHex: '#4a6b52',
    }),
    calibration: () => ({
      ...{ id, modelId: of('model'), pumpId: of('pump'), preStretched: false, roundedOff: false },
      startedAt: AT,
    }),
    reading: () => ({
      ...{ id, calibrationId: of('calibration'), dose: 5, widthMm: 200, heightMm: null, sdMm: null, shape: null },
      ...{ outcome: 'ok', holeId: of('hole'), takenAt: AT },
    }),
    holdTest: () => ({ id, modelId: of('model'), wraps: 1, stuffed: false, startedAt: AT }),
    holdReading: () => ({ id, holdTestId: of('holdTest'), hours: at, widthMm: 240 - at }),
    target: () => ({
      ...{ id, modelId: of('model'), tierId: of('tier'), tierName: 'Tier 0', widthMm: 240 + at, toleranceMm: 6 },
      ...{ dose: 7, origin: 'measured', daysStanding: 1, acceptedAt: AT },
    }),
    note: () => ({ id, modelId: of('model'), text: `Runs small ${at}`, writtenAt: AT }),
    chain: () => ({ id, modelId: of('model'), count: 5, widthMm: 127, lengthMm: 660, takenAt: AT }),
    stack: () => ({
      ...{ id, heightMm: 1524 + at, takenAt: AT },
      layers: Array.from({ length: 8 }, () => ({ count: 4, widthMm: 254 })),
    }),
    finishedGarland: () => ({
      ...{ id, clusters: 12, lengthMm: 3600 + at, takenAt: AT },
      kinds: [{ inRow: 1, balloons: [{ nominalMm: 279.4, widthMm: 254, count: 4 }] }],
    }),
    event: () => ({ id, name: `Evening ${at}`, daysStanding: at, createdAt: AT }),
    piece: () => ({
      ...{ id, name: `Piece ${at}`, eventId: of('event'), createdAt: AT },
      design: {
        ...{ form: 'ring', count: 9, thing: null },
        rings: [{ modelId: null, colourHex: '#4a6b52', finish: 'matte', widthMm: 120 }],
      },
    }),
    fixing: () => ({
      ...{ id, pieceId: of('piece'), modelId: of('model'), wantedMm: 240, fillMm: 238 + at, dose: 7 },
      ...{ origin: 'measured', fixedAt: AT },
    }),
    bag: () => ({ id, modelId: of('model'), count: 50, priceMinor: 1200 + at, currency: 'EUR', boughtAt: AT }),
    stockEntry: () => ({ id, modelId: of('model'), eventId: of('event'), change: 'out', count: 12 + at, at: AT }),
    loss: () => ({ id, modelId: of('model'), bagId: of('bag'), work: 'inflate', used: 48, lost: at % 3, at: AT }),
    inflation: () => ({ id, eventId: of('event'), startedAt: AT }),
    inflationBatch: () => ({
      ...{ id, inflationId: of('inflation'), key: `kelp ${at}`, place: at, modelId: of('model') },
      ...{ colourHex: '#4a6b52', fillMm: 254, toleranceMm: 6, count: 32, dose: 7, timed: false },
    }),
    turn: () => ({
      ...{
        id,
        batchId: of('inflationBatch'),
        station: 'Table 1',
        atOnce: 1,
        bagId: of('bag'),
        dose: 6.5,
        startedAt: AT,
      },
    }),
    turnHands: () => ({ id, turnId: of('turn'), personId: of('person') }),
    tally: () => ({ id, turnId: of('turn'), what: at % 2 === 0 ? 'done' : 'popped', count: 1, at: AT }),
    ownStep: () => ({ id, text: `Ask for the keys ${at}`, createdAt: AT }),
    siteTick: () => ({ id, eventId: of('event'), key: 'exits', at: AT }),
    snag: () => ({ id, eventId: of('event'), pieceId: of('piece'), text: `A gap at layer ${at}`, at: AT }),
    photo: () => ({ id, eventId: of('event'), key: 'exits', picture: 'data:image/jpeg;base64,/9j/4AAQ', at: AT }),
    asBuilt: () => ({
      ...{ id, eventId: of('event'), pieceId: of('piece'), measure: 'high', drawnMm: 1830, builtMm: 1815, at: AT },
    }),
    repair: () => ({
      ...{ id, eventId: of('event'), pieceId: of('piece'), modelId: of('model'), colourHex: '#4a6b52' },
      ...{ cause: 'popped', reckonedMm: 246, measuredMm: 245, fillMm: 245, at: AT },
    }),
    run: () => ({ id, pieceId: of('piece'), startedAt: AT }),
    check: () => ({
      ...{ id, modelId: of('model'), tierName: 'Classic', targetMm: 240, toleranceMm: 6, size: 24 },
      ...{ pieceId: of('piece'), runId: of('run'), turnId: of('turn'), holeId: of('hole'), startedAt: AT },
    }),
    checkResult: () => ({
      ...{ id, checkId: of('check'), position: at, answer: 'passes', widthMm: null, takenAt: AT },
    }),
    study: () => ({ id, subject: 'The tape', balloons: 12, repeats: 2, startedAt: AT }),
    studyPerson: () => ({ id, studyId: of('study'), position: at, name: `Jory ${at}` }),
    studyWidth: () => ({
      ...{ id, studyId: of('study'), balloon: at, person: 0, repeat: 0, widthMm: 230, takenAt: AT },
    }),
    eyeCheck: () => ({
      ...{ id, mode: 'one', personId: of('person'), secondPersonId: null, modelId: of('model'), targetMm: 240 },
      ...{ size: 12, startedAt: AT },
    }),
    eyeBalloon: () => ({ id, eyeCheckId: of('eyeCheck'), position: at, widthMm: null, filledAt: AT }),
  };
  return samples[name]();
}
