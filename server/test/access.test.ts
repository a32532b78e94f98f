import { randomUUID } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';

import {
  isAtLeast,
  mayWrite,
  NOUN_NAMES,
  NOUNS,
  ROLES,
  type Changes,
  type NounName,
  type Role,
  type Route,
} from '@leggero/contract';
import { everythingSchema } from '@leggero/contract/everything';
import { ROUTES } from '@leggero/contract/routes';
import type { Express } from 'express';
import supertest from 'supertest';

import { codeFor, joinedBy, membersOf, ownerOf, type Browser } from './crew';
import { sample, sampleId } from './samples';
import { serviceForTests } from './service';

/** How far off a date is that is waited for, ms: far enough for a request before it. */
const SOON_MS = 4000;
const service = serviceForTests();

/** A way into the service, as its own table of routes has it. */
interface Way {
  method: 'get' | 'put' | 'post' | 'patch' | 'delete';
  path: string;
}

interface Layer {
  route?: { path: string; methods: Record<string, boolean> };
  handle?: { stack?: Layer[] };
}

/** Every route under /api that the service has, however it was mounted. */
function waysInto({ router }: Express): Way[] {
  const walk = (layers: readonly Layer[]): Way[] =>
    layers.flatMap(({ route, handle }) =>
      route
        ? Object.keys(route.methods).map((method) => ({ method: method as Way['method'], path: String(route.path) }))
        : walk(handle?.stack ?? []),
    );
  return walk((router as unknown as { stack: Layer[] }).stack).filter(({ path }) => path.startsWith('/api'));
}

/** Those that ask for no studio: each says itself whom it answers. */
const OPEN = Object.values(ROUTES as Record<string, Route>)
  .filter(({ least }) => least === null)
  .map(({ method, path }) => `${method.toLowerCase()} ${path}`);
const isOpen = ({ method, path }: Way) => OPEN.includes(`${method} ${path}`);

const FAR = '2199-01-01T00:00:00.000Z';
/** Rows that hang on an event that no helper of these is at. */
const OTHER_EVENT = randomUUID();

let ways: Way[];
/** One of each role in the studio of this service, and who owns another one on the same server. */
let by: Record<Role, Browser>;
let stranger: Browser;

beforeAll(async () => {
  const { app } = service;
  ways = waysInto(app);
  const owner = await ownerOf(app);
  const put = (noun: NounName, at = 0) => owner.put(`/api/${NOUNS[noun].path}/${sampleId(noun, at)}`);
  for (const noun of NOUN_NAMES) if (noun !== 'studio') await put(noun).send(sample(noun)).expect(201);
  await owner
    .put(`/api/events/${OTHER_EVENT}`)
    .send({ ...sample('event', 1), id: OTHER_EVENT })
    .expect(201);
  const joined = async (role: Role, name: string) => {
    const helps = role === 'helper' ? { eventId: sampleId('event'), until: FAR } : {};
    return joinedBy(app, await codeFor(owner, { role, ...helps }), name);
  };
  by = {
    ...{ owner, planner: await joined('planner', 'Moss'), maker: await joined('maker', 'Teal') },
    helper: await joined('helper', 'Sprat'),
  };
  // Who comes from another studio of the same server, and is nobody in this one.
  stranger = await joinedBy(app, await codeFor(owner, { role: 'maker' }), 'Brine');
  await stranger.post('/api/account/studios').send({ id: randomUUID(), name: 'Next door' }).expect(200);
  const [here] = (await membersOf(owner)).filter(({ name }) => name === 'Brine');
  await owner.delete(`/api/members/${here!.id}`).expect(204);
});

/** All that the studio keeps, as of now. */
async function kept(): Promise<unknown> {
  const { text } = await by.owner.get('/api/everything.json').buffer(true).expect(200);
  return everythingSchema.parse(JSON.parse(text)).rows;
}

/** What someone is shown by the change feed. */
async function shownTo(browser: Browser, nouns?: NounName): Promise<Changes['rows']> {
  const { body } = await browser
    .get('/api/changes')
    .query(nouns ? { nouns } : {})
    .expect(200);
  return (body as Changes).rows;
}

const addressOf = (path: string, id: string) => path.replace(':id', id);

describe('every way into the service', () => {
  it('is known: routes of the contract, three for each noun, the feed and files', () => {
    expect(ways.length).toBeGreaterThan(3 * NOUN_NAMES.length + 40);
    for (const { method, path } of Object.values(ROUTES as Record<string, Route>))
      expect(ways).toContainEqual({ method: method.toLowerCase(), path });
  });

  it('is shut to who has not signed in, but for those that open it', async () => {
    const nobody = supertest(service.app);
    const answered: string[] = [];
    for (const way of ways.filter((each) => !isOpen(each))) {
      const { status } = await nobody[way.method](addressOf(way.path, sampleId('model'))).send({});
      if (status !== 401) answered.push(`${way.method} ${way.path}: ${status}`);
    }
    expect(answered).toEqual([]);
  });

  it('is shut to who names a studio that they do not work in', async () => {
    const answered: string[] = [];
    for (const { method, path } of ways.filter((each) => !isOpen(each))) {
      const { status } = await stranger[method](addressOf(path, sampleId('model')))
        .query({ studio: service.studioId })
        .send({});
      if (status !== 403) answered.push(`${method} ${path}: ${status}`);
    }
    expect(answered).toEqual([]);
  });

  it('shows and changes nothing of another studio by its ids, whichever row they are of', async () => {
    const before = await kept();
    const members = await membersOf(by.owner);
    const ids = [...NOUN_NAMES.map((noun) => sampleId(noun)), service.studioId, ...members.map(({ id }) => id)];
    const reached: string[] = [];
    for (const { method, path } of ways.filter((each) => each.path.includes(':id'))) {
      const noun = NOUN_NAMES.find((name) => path === `/api/${NOUNS[name].path}/:id`);
      for (const id of noun ? [sampleId(noun)] : ids) {
        const body = noun && noun !== 'studio' && method === 'put' ? sample(noun) : {};
        const answer = await stranger[method](addressOf(path, id)).send(body);
        // What is not there is as good as taken away.
        const nothing = method === 'delete' ? [204, 404] : [400, 404, 409];
        if (![...nothing, 403].includes(answer.status)) reached.push(`${method} ${path} ${id}: ${answer.status}`);
      }
    }
    expect(reached).toEqual([]);
    expect(await kept()).toEqual(before);
    expect(await membersOf(by.owner)).toEqual(members);
  });
});

describe('what a role may', () => {
  it('is asked by every route of the contract', async () => {
    const wrong: string[] = [];
    for (const [name, { method, path, least = 'maker' }] of Object.entries(ROUTES as Record<string, Route>)) {
      // Changed and taken away by their noun, which is looked at below.
      if (least === null || NOUN_NAMES.some((noun) => path === `/api/${NOUNS[noun].path}/:id`)) continue;
      for (const role of ROLES) {
        const verb = method.toLowerCase() as 'get' | 'post' | 'patch' | 'delete';
        const { status } = await by[role][verb](addressOf(path, randomUUID())).send({});
        // Private pages are shut by a PIN as well, and what is to be written is looked at by its noun.
        if (isAtLeast(role, least) ? status === 401 : status !== 403) wrong.push(`${name} by ${role}: ${status}`);
      }
    }
    expect(wrong).toEqual([]);
  });

  it('is asked of every noun: who may not write it is refused, and nothing of it is kept', async () => {
    const wrong: string[] = [];
    for (const noun of NOUN_NAMES.filter((name) => name !== 'studio')) {
      const path = `/api/${NOUNS[noun].path}`;
      for (const role of ROLES) {
        const id = randomUUID();
        // Of those that are counted in places, one place each.
        const row = { ...sample(noun, 2 + ROLES.indexOf(role)), id };
        const { status } = await by[role].put(`${path}/${id}`).send(row);
        const may = mayWrite(role, noun);
        // Some are refused for what they say of others, by whomever they are sent.
        if (may ? status === 403 || status === 404 : status < 400) wrong.push(`${role} put ${noun}: ${status}`);
        const batch = { commands: [{ key: randomUUID(), writes: [{ remove: noun, id: sampleId(noun) }] }] };
        if (may || NOUNS[noun].replica === 'never') continue;
        const { body } = await by[role].post('/api/batch').send(batch).expect(200);
        const [{ problem }] = (body as { answers: [{ problem: { status: number } | null }] }).answers;
        const rows = (await shownTo(by.owner, noun))[noun] as { id: string }[];
        // A row that a helper does not see is not there for them: it is as good as taken away.
        const refused = problem === null ? role === 'helper' : [403, 409].includes(problem.status);
        if (!refused || !rows.some((each) => each.id === sampleId(noun))) wrong.push(`${role} remove ${noun}`);
      }
    }
    expect(wrong).toEqual([]);
  });
});

describe('a helper', () => {
  it('sees their event and what hangs on it, and nothing of others, of people, of stock or of money', async () => {
    const theirs = await shownTo(by.helper);
    expect(theirs.event).toMatchObject([{ id: sampleId('event'), client: '' }]);
    const nouns = new Set(Object.keys(theirs));
    for (const noun of ['piece', 'inflation', 'turn', 'tally', 'siteTick', 'snag'] as const)
      expect(theirs[noun]!.length).toBeGreaterThan(0);
    for (const noun of ['person', 'bag', 'stockEntry', 'loss', 'study', 'note', 'run'] as const)
      expect(nouns).not.toContain(noun);
    const owners = await shownTo(by.owner);
    expect(owners.event!.length).toBeGreaterThan(1);
    expect(owners.bag!.length).toBeGreaterThan(0);
  });

  it('is not told what the event costs, nor for whom it is', async () => {
    const money = { hourMinor: 4200, travelMinor: 900, hireMinor: 100, margin: 0.3 };
    const plan = {
      sure: 0.95,
      sized: true,
      people: 2,
      stations: 1,
      order: [],
      ...money,
      extras: [{ name: 'Van', minor: 5 }],
    };
    const event = `/api/events/${sampleId('event')}`;
    await by.owner.patch(event).send({ client: 'The aquarium', plan }).expect(200);
    const [shown] = (await shownTo(by.helper)).event!;
    expect(shown).toMatchObject({
      client: '',
      plan: { people: 2, hourMinor: 0, travelMinor: 0, hireMinor: 0, extras: [], margin: 0 },
    });
    expect((await shownTo(by.owner)).event!.find(({ id }) => id === shown!.id)).toMatchObject({ plan: money });
  });

  it('taps at their event, and at no other', async () => {
    const tick = (eventId: string) => ({
      id: randomUUID(),
      eventId,
      key: `exits ${randomUUID().slice(0, 4)}`,
      at: FAR,
    });
    const put = (row: { id: string }) => by.helper.put(`/api/site-ticks/${row.id}`).send(row);
    await put(tick(sampleId('event'))).expect(201);
    await put(tick(OTHER_EVENT)).expect(404);
    const tally = { ...sample('tally', 7), id: randomUUID() };
    await by.helper.put(`/api/tallies/${tally.id}`).send(tally).expect(201);
    await by.helper.delete(`/api/tallies/${tally.id}`).expect(204);
  });

  it('is nobody there after their date', async () => {
    const helper = (await membersOf(by.owner)).find(({ role }) => role === 'helper')!;
    const until = new Date(Date.now() + SOON_MS).toISOString();
    const part = { role: 'helper', eventId: helper.eventId, until };
    await by.owner.patch(`/api/members/${helper.id}`).send(part).expect(200);
    await by.helper.get('/api/changes').expect(200);
    await pause(SOON_MS);
    await by.helper.get('/api/changes').expect(403);
    expect((await by.helper.get('/api/access').expect(200)).body).toMatchObject({ state: 'in', studios: [], at: null });
  });

  it('whose date is over joins anew by another invitation, and who works there already does not', async () => {
    const join = async (browser: Browser, code: string) =>
      (await browser.post('/api/invitations/join').send({ code, account: null })).status;
    const code = await codeFor(by.owner, { role: 'helper', eventId: sampleId('event'), until: FAR });
    expect(await join(by.maker, code)).toBe(409);
    // It is as good as before: nothing of it was used up.
    expect(await join(by.helper, code)).toBe(200);
    await by.helper.get('/api/changes').expect(200);
    expect(await join(by.helper, code)).toBe(404);
  });
});

describe('owners', () => {
  it('keep one of them, though two send one another away at once', async () => {
    const { app } = service;
    const second = await joinedBy(app, await codeFor(by.owner, { role: 'owner' }), 'Heron');
    const all = await membersOf(by.owner);
    const [first, other] = ['Wren', 'Heron'].map((name) => all.find((member) => member.name === name)!);
    const demoted = { role: 'maker', eventId: null, until: null };
    const [one, two] = await Promise.all([
      by.owner.patch(`/api/members/${other!.id}`).send(demoted),
      second.patch(`/api/members/${first!.id}`).send(demoted),
    ]);
    expect([one.status, two.status].sort()).not.toEqual([200, 200]);
    const stays = one.status === 200 ? by.owner : second;
    const left = await membersOf(stays);
    expect(left.filter(({ role }) => role === 'owner')).toHaveLength(1);
    const own = left.find(({ me }) => me)!;
    await stays.delete(`/api/members/${own.id}`).expect(409);
    await stays.patch(`/api/members/${own.id}`).send(demoted).expect(409);
  });
});
