import { MODEL_DEFAULTS } from '@leggero/contract';
import type { EyeCheckRecord, ModelDetail, ShelfModel, SizerRecord } from '@leggero/contract';

import type { Command, NewCommand } from '@/api/command';
import {
  overlayEyeCheck,
  overlayEyeChecks,
  overlayModel,
  overlayPeople,
  overlayPumps,
  overlayShelf,
  overlaySizers,
  overlayStudies,
  overlayStudio,
  overlayTiers,
} from '@/api/overlay';

const keyed = (command: NewCommand) => ({ ...command, key: 'k' }) as Command;
const shelfModel = {
  id: 'm',
  line: 'Tarn Satin',
  kind: 'round',
  nominalMm: 279.4,
  finish: 'pearl',
  colourName: 'tide blue',
  colourHex: '#3d6fa6',
  demo: false,
  ...MODEL_DEFAULTS,
  calibrations: [],
  holdTests: [],
  uses: 0,
} satisfies ShelfModel;
const detail: ModelDetail = { ...shelfModel, targets: [], checks: [] };
const calibration = keyed({
  name: 'createCalibration',
  body: {
    id: 'c',
    modelId: 'm',
    pumpId: 'p',
    preStretched: false,
    roundedOff: false,
    startedAt: '2026-11-16T17:00:00.000Z',
  },
});
const reading = (id: string, takenAt: string) =>
  keyed({
    name: 'createReading',
    body: {
      id,
      calibrationId: 'c',
      dose: 2,
      widthMm: 150,
      way: 'tape',
      stopsMm: null,
      passesMm: null,
      nozzle: null,
      heightMm: null,
      sdMm: null,
      shape: null,
      outcome: 'ok',
      takenAt,
    },
  });
const lay = (commands: Command[], from: ModelDetail | undefined = detail) =>
  commands.reduce<ModelDetail | undefined>((model, command) => overlayModel('m', model, command), from);

describe('what waits in the outbox is shown as if it had arrived', () => {
  it('shows a balloon that the server has not got yet', () => {
    const { demo: _, calibrations: __, ...body } = shelfModel;
    const create = keyed({ name: 'createModel', body });
    expect(lay([create], undefined)).toEqual(detail);
    expect(overlayModel('other', undefined, create)).toBeUndefined();
    expect(overlayShelf([], create)).toEqual([shelfModel]);
  });

  it('adds readings in the order taken, once each, and takes them away again', () => {
    const first = reading('r1', '2026-11-16T17:01:00.000Z');
    const second = reading('r2', '2026-11-16T17:02:00.000Z');
    const ids = (model: ModelDetail | undefined) => model?.calibrations[0]?.readings.map(({ id }) => id);
    expect(ids(lay([calibration, second, first, first]))).toEqual(['r1', 'r2']);
    expect(ids(lay([calibration, first, second, keyed({ name: 'deleteReading', id: 'r1' })]))).toEqual(['r2']);
  });

  it('counts the revisions of a kept target', () => {
    const keep = (id: string) =>
      keyed({
        name: 'acceptTarget',
        body: {
          id,
          modelId: 'm',
          tierId: 't',
          tierName: 'Classic',
          widthMm: 254,
          toleranceMm: 6,
          dose: 7.5,
          origin: 'measured',
          daysStanding: 1,
          acceptedAt: '2026-11-16T17:00:00.000Z',
        },
      });
    expect(lay([keep('a'), keep('b')])?.targets.map(({ revision }) => revision)).toEqual([2, 1]);
  });

  it('keeps a batch’s results by their place', () => {
    const check = keyed({
      name: 'createCheck',
      body: {
        id: 'k',
        modelId: 'm',
        tierName: 'Classic',
        targetMm: 254,
        toleranceMm: 6,
        size: 12,
        startedAt: '2026-11-16T17:00:00.000Z',
      },
    });
    const result = (id: string, position: number) =>
      keyed({
        name: 'createCheckResult',
        body: {
          id,
          checkId: 'k',
          position,
          answer: 'passes',
          widthMm: null,
          takenAt: '2026-11-16T17:00:00.000Z',
        },
      });
    const model = lay([check, result('b', 1), result('a', 0), keyed({ name: 'deleteCheckResult', id: 'b' })]);
    expect(model?.checks[0]?.results.map(({ id }) => id)).toEqual(['a']);
  });

  it('changes what a patch names and nothing else', () => {
    const studio = {
      id: 's',
      name: 'Mine',
      unit: 'in',
      stepMm: 3.175,
      daysStanding: 1,
      workroomTempC: 21,
      workroomAltitudeM: 0,
    } as const;
    const patch = keyed({ name: 'changeStudio', body: { unit: 'cm', name: undefined } });
    expect(overlayStudio(studio, patch)).toEqual({ ...studio, unit: 'cm' });
    const tier = {
      id: 't',
      name: 'Bud',
      fraction: 0.5,
      leastFraction: 0.45,
      mostFraction: 0.6,
      shape: 'round' as const,
      purpose: '',
      position: 4,
    };
    expect(overlayTiers([tier], keyed({ name: 'changeTier', id: 't', body: { fraction: 0.52 } }))[0]).toEqual({
      ...tier,
      fraction: 0.52,
    });
    expect(overlayPumps([], keyed({ name: 'deletePump', id: 'p' }))).toEqual([]);
    expect(lay([keyed({ name: 'deleteModel', id: 'm' })])).toBeUndefined();
  });
});

describe('what waits for the gauges', () => {
  const at = '2026-11-20T10:00:00.000Z';
  const all = <T>(start: T, overlay: (records: T, command: Command) => T, commands: NewCommand[]) =>
    commands.reduce((records, command) => overlay(records, keyed(command)), start);

  it('adds sizers, measures and relabels their holes without losing what was measured', () => {
    const hole = { id: 'h', label: '9', widthMm: 228.6 };
    const measurement = { id: 'x', holeId: 'h', acrossMm: 226, downMm: null, way: 'caliper' as const, takenAt: at };
    const sizing = { id: 'z', holeId: 'h', nominalMm: 279.4, widthMm: 230, takenAt: at };
    const made = all<SizerRecord[]>([], overlaySizers, [
      { name: 'createSizer', body: { id: 's', name: 'Plate', holes: [hole] } },
      { name: 'createHoleMeasurement', body: measurement },
      { name: 'createSizing', body: sizing },
      {
        name: 'changeSizer',
        id: 's',
        body: {
          keeper: 'Jory',
          holes: [
            { id: 'g', label: '10', widthMm: 254 },
            { ...hole, label: 'nine' },
          ],
        },
      },
    ]);
    expect(made).toMatchObject([
      {
        keeper: 'Jory',
        sizings: [sizing],
        holes: [
          { label: 'nine', measurements: [measurement] },
          { label: '10', measurements: [] },
        ],
      },
    ]);
    const undone = all(made, overlaySizers, [
      { name: 'deleteHoleMeasurement', id: 'x' },
      { name: 'deleteSizing', id: 'z' },
    ]);
    expect(undone).toMatchObject([{ sizings: [], holes: [{ measurements: [] }, {}] }]);
    expect(all(undone, overlaySizers, [{ name: 'deleteSizer', id: 's' }])).toEqual([]);
  });

  it('fills and measures a session by eye, for each who takes part', () => {
    const body = {
      id: 'e',
      mode: 'two' as const,
      personId: 'a',
      secondPersonId: 'b',
      modelId: 'm',
      targetMm: 254,
      size: 2,
      startedAt: at,
    };
    const balloon = { id: 'n', eyeCheckId: 'e', position: 0, widthMm: null, filledAt: at };
    const commands: NewCommand[] = [
      { name: 'createEyeCheck', body },
      { name: 'createEyeBalloon', body: { ...balloon, id: 'o', position: 1 } },
      { name: 'createEyeBalloon', body: balloon },
      { name: 'changeEyeBalloon', id: 'n', body: { widthMm: 251 } },
    ];
    const one = (check: EyeCheckRecord | undefined, command: Command) => overlayEyeCheck('e', check, command);
    const session = all<EyeCheckRecord | undefined>(undefined, one, commands);
    expect(session?.balloons.map(({ position, widthMm }) => [position, widthMm])).toEqual([
      [0, 251],
      [1, null],
    ]);
    const of = (personId: string) =>
      all<EyeCheckRecord[]>([], (rows, command) => overlayEyeChecks(personId, rows, command), commands);
    expect(of('a')).toEqual([session]);
    expect(of('b')).toEqual([session]);
    expect(of('c')).toEqual([]);
    expect(all(session, one, [{ name: 'deleteEyeBalloon', id: 'o' }])?.balloons).toHaveLength(1);
    expect(all(session, one, [{ name: 'deleteEyeCheck', id: 'e' }])).toBeUndefined();
  });

  it('adds people and studies, and takes them away', () => {
    const people = all([], overlayPeople as never, [
      { name: 'createPerson', body: { id: 'a', name: 'Pell' } },
      { name: 'changePerson', id: 'a', body: { name: 'Pella' } },
    ]);
    expect(people).toEqual([{ id: 'a', name: 'Pella', owner: false, hasPin: false, demo: false }]);
    expect(all(people, overlayPeople as never, [{ name: 'deletePerson', id: 'a' }])).toEqual([]);
    const study = { id: 't', subject: 'The 9 hole', people: ['A', 'B'], balloons: 2, repeats: 2, startedAt: at };
    const width = { id: 'w', studyId: 't', balloon: 0, person: 0, repeat: 0, widthMm: 229, takenAt: at };
    const studies = all([], overlayStudies as never, [
      { name: 'createStudy', body: study },
      { name: 'createStudyWidth', body: width },
    ]);
    expect(studies).toMatchObject([{ widths: [width] }]);
    expect(all(studies, overlayStudies as never, [{ name: 'deleteStudyWidth', id: 'w' }])).toMatchObject([
      { widths: [] },
    ]);
    expect(all(studies, overlayStudies as never, [{ name: 'deleteStudy', id: 't' }])).toEqual([]);
  });
});
