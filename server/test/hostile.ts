import { randomUUID } from 'node:crypto';

import type { BatchAnswer, ModelDetail, PersonRecord, SizerRecord } from '@leggero/contract';
import { CREW_ROUTES } from '@leggero/contract/crew';
import { MAIL_ROUTES } from '@leggero/contract/mail';
import { ROUTES, type RouteName } from '@leggero/contract/routes';
import { randomFrom } from '@leggero/core';
import supertest from 'supertest';

import { codeFor, membersOf, PASSWORD } from './crew';

type Request = ReturnType<typeof supertest.agent>;
type Json = null | boolean | number | string | Json[] | { [key: string]: Json };
type Body = Record<string, Json>;

/** A place within a body: the keys that lead there. */
type Place = (string | number)[];

/** What a field may hold that was written by a slip, a bug or ill will. */
const HOSTILE: readonly Json[] = [
  ...[null, true, false, '', ' ', 'x', '1', 'NaN', 'Infinity', '=1+1', '__proto__', '\u0000', '\ud800', '‮kelp'],
  ...['a'.repeat(81), 'a'.repeat(5000), '🎈'.repeat(40), '🎈'.repeat(81), "'; drop table readings; --"],
  ...[0, -0, -1, 1, 2, 0.5, 1e-5, 4e-5, 5e-5, 4e-4, 5e-4, 1e-320, 0.1 + 0.2, 99_999.99996, 1e5, 1e9, 1e21, 1e308],
  ...[32_767, 32_768, 65_536, 2_147_483_648, Number.MAX_SAFE_INTEGER, 365.5, 24.99996, 5000.00004],
  ...[
    '2026-02-30T00:00:00.000Z',
    '+275760-09-13T00:00:00.000Z',
    '0000-01-01T00:00:00.000Z',
    '9999-12-31T23:59:59.999Z',
  ],
  ...['2026-11-16T17:00:00.123456789Z', '2026-11-16', '2026-11-16T17:00:00+14:00'],
  ...['00000000-0000-0000-0000-000000000000', 'FFFFFFFF-FFFF-4FFF-8FFF-FFFFFFFFFFFF', '#ABCDEF', '#abcdef; x'],
  ...[[], {}, [[]], [null], { length: 3 }],
];
/** Stands for a field that is not there at all. */
const GONE = Symbol('gone');

/** Every place in a body, whole objects and lists among them. */
function placesIn(body: Json, at: Place = []): Place[] {
  if (typeof body !== 'object' || body === null) return [at];
  const inner = Object.entries(body).flatMap(([key, value]) =>
    placesIn(value, [...at, Array.isArray(body) ? Number(key) : key]),
  );
  return at.length === 0 ? inner : [at, ...inner];
}

function changed(body: Json, [key, ...rest]: Place, value: Json | typeof GONE): Json {
  if (key === undefined) return value as Json;
  const copy = (Array.isArray(body) ? [...body] : { ...(body as Body) }) as Body;
  if (rest.length === 0 && value === GONE) delete copy[key];
  else copy[key] = rest.length === 0 ? (value as Json) : changed(copy[key]!, rest, value);
  return copy;
}

/** So many bodies a hair or a mile off a good one: at any place, any hostile value, or two at once. */
function* mutationsOf(good: Body, count: number, seed: number): Generator<Body> {
  const random = randomFrom(seed);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
  const places = placesIn(good);
  for (let i = 0; i < count; i += 1) {
    let body: Json = good;
    for (let changes = random() < 0.7 ? 1 : 2; changes > 0; changes -= 1) {
      const value = random() < 0.08 ? GONE : pick(HOSTILE);
      const place = pick(placesIn(body).length > 0 ? placesIn(body) : places);
      body = changed(body, place, value);
    }
    yield body as Body;
  }
}

interface Attack {
  request: Request;
  /** Bodies sent to each route that takes one. */
  perRoute: number;
  /** Which routes, and what they take: those of a studio's records, unless others are meant. */
  routes?: readonly RouteName[];
  targets?: (request: Request) => Promise<Target[]>;
}

/** Routes of signing in and of who works in a studio. */
const OF_CREW = { ...CREW_ROUTES, ...MAIL_ROUTES };
export const CREW_NAMES = Object.keys(OF_CREW) as (keyof typeof OF_CREW)[];
const RECORD_NAMES = (Object.keys(ROUTES) as RouteName[]).filter((name) => !(name in OF_CREW));

/** One route and a body it takes, or none. */
interface Target {
  name: RouteName;
  id?: string;
  good?: Body;
}

/**
 * Sends hostile requests to each of some routes, over a studio with the demo's records. Answers what was wrong:
 * every answer of 500 or more, and every answer or list that breaks its own contract.
 */
export async function attackRoutes({
  request,
  perRoute,
  routes = RECORD_NAMES,
  targets: aim = targetsOf,
}: Attack): Promise<{ sent: number; faults: string[] }> {
  const faults: string[] = [];
  let sent = 0;
  const send = async ({ name, id }: Target, body?: Json) => {
    const { method, path, ...route } = ROUTES[name];
    const address = path.replace(':id', id ?? '');
    const verb = method.toLowerCase() as 'get' | 'post' | 'patch' | 'delete';
    const answer = await (body === undefined ? request[verb](address) : request[verb](address).send(body as object));
    sent += 1;
    if (answer.status >= 500) faults.push(`${name} ${answer.status}: ${JSON.stringify(body)?.slice(0, 300)}`);
    if (name === 'carryOut') {
      for (const { problem } of (answer.body as Partial<BatchAnswer>).answers ?? []) {
        if (problem && problem.status >= 500)
          faults.push(`${name} ${problem.status}: ${JSON.stringify(body)?.slice(0, 900)}`);
      }
    }
    if (answer.status < 300 && 'response' in route && !route.response.safeParse(answer.body).success) {
      faults.push(`${name} answers against its contract: ${JSON.stringify(body)?.slice(0, 300)}`);
    }
  };

  const targets = await aim(request);
  const missing = routes.filter((name) => 'request' in ROUTES[name] && !targets.some((target) => target.name === name));
  for (const name of missing) faults.push(`${name} was not tried`);

  for (const [index, target] of targets.entries()) {
    if (!target.good) continue;
    for (const body of mutationsOf(target.good, perRoute, index + 1)) {
      // A create tried under one id would not be tried again.
      const fresh = 'id' in target.good && body['id'] === target.good['id'] ? { ...body, id: randomUUID() } : body;
      await send(target, fresh);
    }
  }
  for (const name of routes) {
    if (!ROUTES[name].path.includes(':id')) continue;
    for (const id of ['x', '%00', '%ff', randomUUID(), '..%2f..', 'a'.repeat(3000)]) {
      await send({ name, id }, 'request' in ROUTES[name] ? {} : undefined);
    }
  }
  for (const name of routes) {
    const { method, path } = ROUTES[name];
    if (method === 'GET' && !path.includes(':id')) await send({ name });
  }
  const shelf = (await request.get('/api/models')).body as { id: string }[];
  for (const { id } of shelf) await send({ name: 'readModel', id });
  return { sent, faults };
}

/** Every route that takes a body, with one it takes: the demo's own records, under new ids. */
async function targetsOf(request: Request): Promise<Target[]> {
  const list = async <T>(path: string) => (await request.get(`/api/${path}`).expect(200)).body as T;
  const again = (record: unknown, more: Body = {}): Body => ({ ...(record as Body), id: randomUUID(), ...more });
  const people = await list<PersonRecord[]>('people');
  const owner = people.find((person) => person.owner)!;
  await request.post('/api/session').send({ personId: owner.id }).expect(200);
  const shelf = await list<ModelDetail[]>('models');
  const details = await Promise.all(shelf.map(({ id }) => list<ModelDetail>(`models/${id}`)));
  const first = <T>(of: (detail: ModelDetail) => readonly T[]): T => details.flatMap(of)[0]!;
  const [sizers, pumps, tiers, studies, pieces, studio] = await Promise.all([
    list<SizerRecord[]>('sizers'),
    list<Body[]>('pumps'),
    list<Body[]>('tiers'),
    list<(Body & { widths: Body[] })[]>('studies'),
    list<Body[]>('pieces'),
    list<Body>('studio'),
  ]);
  const checked = (
    await Promise.all(people.map(({ id }) => list<(Body & { balloons: Body[] })[]>(`people/${id}/eye-checks`)))
  ).flat()[0]!;
  const single = shelf.find(({ outerId }) => outerId === null)!;
  const hole = sizers[0]!.holes[0]!;
  const holdTest = first(({ holdTests }) => holdTests);
  const calibration = first(({ calibrations }) => calibrations);
  const check = first(({ checks }) => checks);
  const target = first(({ targets }) => targets) ?? {
    ...{ modelId: single.id, tierId: tiers[0]!['id'], tierName: 'Classic', widthMm: 254, toleranceMm: 6.35 },
    ...{ dose: 5, origin: 'measured', daysStanding: 1, acceptedAt: '2026-11-16T17:00:00.000Z' },
  };
  const takenAt = '2026-11-16T17:00:00.000Z';
  const file = {
    format: 'leggero-calibration',
    version: 1,
    model: single,
    pump: pumps[0]!,
    calibration: calibration as unknown as Body,
  };
  const model = again(single);
  const eyeBalloon = { ...checked.balloons[0]!, widthMm: 254 };
  const idOf = (record: Body) => String(record['id']);
  const [event] = (await request.get('/api/changes?nouns=event').expect(200)).body.rows.event as { id: string }[];
  const thing = {
    key: 'a',
    name: 'Drift',
    picture: 'data:image/png;base64,AAAA',
    wideMm: 1000,
    highMm: 2000,
    footMm: 0,
  };
  const blocks = [
    { kind: 'row', things: [thing] },
    { kind: 'thing', thing, lines: ['1 m wide'], colours: [{ hex: '#3f7a4a', name: 'kelp' }] },
  ];
  const content = {
    kind: 'sheet',
    sheet: { title: 'Low Tide', subtitle: '', pictures: { a: 'data:image/png;base64,AAAA' }, blocks },
  };
  const sharing: Target[] = [
    { name: 'share', good: { id: randomUUID(), eventId: event!.id, days: 7, content } },
    { name: 'forgetAccount', good: { password: 'not anybody’s' } },
    { name: 'openShare', good: { code: 'AAAAA-AAAAA-AAAAA-AAAAA' } },
  ];
  return [
    { name: 'changeStudio', good: studio },
    { name: 'createTier', good: again(tiers[0], { leastFraction: 0.31, fraction: 0.32, mostFraction: 0.33 }) },
    { name: 'changeTier', id: idOf(tiers[0]!), good: tiers[0]! },
    { name: 'createModel', good: model },
    { name: 'changeModel', id: single.id, good: single as unknown as Body },
    { name: 'createPump', good: again(pumps[0], { mostKPa: 12, doseVolumeL: 0.3 }) },
    { name: 'changePump', id: idOf(pumps[0]!), good: { ...pumps[0]!, mostKPa: 12 } },
    { name: 'createSizer', good: again(sizers[0], { holes: [{ ...hole, id: randomUUID() }] as unknown as Json }) },
    { name: 'changeSizer', id: sizers[0]!.id, good: sizers[0] as unknown as Body },
    {
      name: 'createHoleMeasurement',
      good: again({ holeId: hole.id, acrossMm: 228.6, downMm: 228, way: 'caliper', takenAt }),
    },
    { name: 'createSizing', good: again({ holeId: hole.id, nominalMm: 279.4, widthMm: 229, takenAt }) },
    { name: 'openSession', good: { personId: owner.id, pin: '1234' } },
    { name: 'createPerson', good: again({ name: 'Ebb' }) },
    { name: 'changePerson', id: people.at(-1)!.id, good: { name: 'Ebb' } },
    { name: 'setPin', id: people.at(-1)!.id, good: { pin: '1234' } },
    { name: 'createEyeCheck', good: again(checked) },
    { name: 'createEyeBalloon', good: again(eyeBalloon) },
    { name: 'changeEyeBalloon', id: idOf(eyeBalloon), good: { widthMm: 254 } },
    { name: 'createStudy', good: again(studies[0]) },
    { name: 'createStudyWidth', good: again(studies[0]!.widths[0]) },
    { name: 'createRun', good: again({ pieceId: idOf(pieces[0]!), startedAt: takenAt }) },
    { name: 'createPiece', good: again(pieces[0]) },
    { name: 'changePiece', id: idOf(pieces[0]!), good: pieces[0]! },
    { name: 'createChain', good: again({ modelId: single.id, count: 20, widthMm: 254, lengthMm: 4000, takenAt }) },
    { name: 'createCalibration', good: again(calibration) },
    { name: 'createReading', good: again(calibration.readings[0]) },
    { name: 'importCalibration', good: file as unknown as Body },
    {
      name: 'createHoldTest',
      good: again(holdTest, { firstReadingId: randomUUID(), firstWidthMm: 254 }),
    },
    { name: 'createHoldReading', good: again(holdTest.readings[0], { hours: 7.123 }) },
    ...sharing,
    { name: 'acceptTarget', good: again(target) },
    { name: 'createCheck', good: again(check) },
    { name: 'createCheckResult', good: again(check.results[0], { position: 999 }) },
    {
      name: 'carryOut',
      good: {
        commands: [
          {
            key: randomUUID(),
            writes: [
              { put: 'reading', row: again(calibration.readings[0]) },
              { put: 'check', row: again(check) },
              { put: 'piece', row: again(pieces[0]) },
              { change: 'tier', id: idOf(tiers[0]!), by: { purpose: 'columns' } },
              { remove: 'chain', id: randomUUID() },
            ],
          },
        ],
      },
    },
  ];
}

/** Every route of signing in and of the crew that takes a body, with one it takes; asked by who owns the studio. */
export async function crewTargetsOf(request: Request): Promise<Target[]> {
  const account = { name: 'Brine', signInName: 'brine', email: 'brine@example.org', password: PASSWORD };
  const who = { ...account, code: null };
  await request.post('/api/owner').send(who).expect(200);
  const until = '2027-01-31T12:00:00.000Z';
  const [event] = (await request.get('/api/changes?nouns=event').expect(200)).body.rows.event as { id: string }[];
  const helper = { name: 'Sprat', role: 'helper', eventId: event!.id, until };
  const code = await codeFor(request, { role: 'maker' });
  const [me] = await membersOf(request);
  return [
    { name: 'claim', good: who },
    { name: 'signIn', good: { who: 'brine', password: PASSWORD } },
    { name: 'readInvitation', good: { code } },
    { name: 'join', good: { code, account: { ...account, signInName: 'sprat', email: null } } },
    { name: 'mailPasswordCode', good: { who: 'brine' } },
    { name: 'setAddress', good: { email: 'brine@example.org', password: 'not mine' } },
    { name: 'confirmAddress', good: { code } },
    { name: 'newPassword', good: { code, password: PASSWORD } },
    { name: 'changePassword', good: { before: 'not mine', password: PASSWORD } },
    { name: 'passkeySignIn', good: { response: { id: 'a', rawId: 'a', type: 'public-key', response: {} } } },
    { name: 'keepPasskey', good: { name: 'Phone', response: { id: 'a', rawId: 'a', response: {} } } },
    { name: 'makeStudio', good: { id: randomUUID(), name: 'Brine and Barge' } },
    { name: 'changeMember', id: me!.id, good: { role: 'owner', eventId: null, until: null } },
    { name: 'invite', good: { ...helper, id: randomUUID() } },
  ];
}

const HEADER =
  'line,kind,nominal (mm),finish,colour,inflator,pre-stretched,rounded off,calibration,taken at (UTC),dose (strokes),' +
  'nozzle,width (mm),stops at (mm),passes (mm),way,height (mm),uncertainty (mm),shape,felt,reading';
const CELLS = [
  ...['Tarn Satin', 'round', '279.4', 'pearl', 'tide blue', 'Skiff', 'yes', 'no', 'a', '2026-11-16T17:01:00Z', '4'],
  ...['', '203.2', '', '', 'tape', '200', '2', 'round', 'ok', ''],
];

/** So many files of readings, each with a cell or a column that is off. */
export function* hostileFiles(count: number, seed: number): Generator<string> {
  const random = randomFrom(seed);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
  for (let i = 0; i < count; i += 1) {
    const header = HEADER.split(',');
    const cells = [...CELLS];
    const at = Math.floor(random() * cells.length);
    if (random() < 0.15) header[at] = String(pick(HOSTILE));
    else cells[at] = String(pick(HOSTILE));
    const quoted = cells.map((cell) => (random() < 0.9 ? `"${cell.replaceAll('"', '""')}"` : cell));
    yield `${header.join(',')}\n${quoted.join(pick([',', ',', ',', ';', '\t']))}\n`;
  }
}
