import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { Agent, request } from 'node:http';

import type { BatchAnswer, Changes } from '@leggero/contract';
import type { GivenCode } from '@leggero/contract/crew';

import type { Bench } from './bench';

/** So many studios, each with so many people: twenty that are large, on one server. */
const STUDIOS = 20;
const PEOPLE = 10;
const SECONDS = 60;
/** Within so many seconds all have come. */
const COMING = 10;
const SMALL = { studios: 2, people: 2, seconds: 2, coming: 1 };
/** What nobody waits for longer, ms; and until when memory is taken as what is needed, as a share of the time. */
const MOST_MS = 200;
const SETTLED = 0.3;

const PASSWORD = 'kelp and a rope of roe';

/** Someone who is signed in, with an address of their own. */
interface Person {
  cookie: string;
  address: string;
  studioId: string;
  eventId: string;
}

interface Sent {
  status: number;
  body: unknown;
  cookie: string;
}

/**
 * Two hundred people of twenty studios, each of whom reads a build, as a device does that is filled, and then taps once a
 * second for a minute, each tap answered with what others wrote meanwhile; in between a device asks when it hears that
 * others wrote. How long the slowest in a hundred waits, whether anybody is refused, and whether memory stays.
 */
export async function measureCrowd(bench: Bench): Promise<void> {
  const full = { studios: STUDIOS, people: PEOPLE, seconds: SECONDS, coming: COMING };
  const { studios, people, seconds, coming } = bench.smoke ? SMALL : full;
  // Each has an address of their own, as behind something that hands their requests on.
  const { url, pid } = await bench.freshWorld({ LEGGERO_PROXIES: '127.0.0.1' });
  // Let go before the server does, which would cut off what is just being asked.
  const agent = new Agent({ keepAlive: true, maxSockets: 400, timeout: 3000 });
  const send = (person: Partial<Person>, method: string, path: string, body?: unknown) =>
    ask(agent, `${url}${path}`, { person, method, body });
  try {
    const crowd = await gather(send, { studios, people });
    const took: number[] = [];
    let refused = 0;
    let [settled, most] = [0, 0];
    const begun = performance.now();
    const watching = setInterval(() => {
      const rss = memoryOf(pid);
      if (performance.now() - begun < (coming + SETTLED * seconds) * 1000) settled = Math.max(settled, rss);
      else most = Math.max(most, rss);
    }, 250);
    const once: Once = async (person, method, path, body) => {
      const start = performance.now();
      const { status, body: answer } = await send(person, method, path, body);
      took.push(performance.now() - start);
      if (status >= 300) refused += 1;
      return answer as never;
    };
    await Promise.all(
      crowd.map(async (person, i) => {
        // Not all in the same instant.
        const begun = performance.now() + (1000 * coming * i) / crowd.length;
        await pause(begun - performance.now());
        const phone = new Phone(person, once);
        const ends = listenAt(`${url}/api/changes/live?studio=${person.studioId}`, person, (word) => phone.hear(word));
        await phone.fill();
        for (let second = 0; second < seconds; second += 1) {
          const next = begun + 1000 * (second + 1);
          if (!(await phone.tap())) refused += 1;
          await pause(next - performance.now());
        }
        ends();
      }),
    );
    clearInterval(watching);
    took.sort((a, b) => a - b);
    const who = `${crowd.length} people of ${studios} studios who come within ${coming} s`;
    const doing = `each filled with a build, then a tap a second for ${seconds} s`;
    const median = `median ${took[Math.floor(took.length / 2)]!.toFixed(1)} ms, ${took.length} requests`;
    bench.report({
      what: `${who}, ${doing}: the slowest in a hundred (${median})`,
      ours: took[Math.floor(0.99 * took.length)]!,
      yardstick: 'what nobody notices in a tap',
      theirs: MOST_MS,
      unit: 'ms',
      most: 1,
    });
    bench.report({
      what: 'requests of theirs that were refused or failed',
      ours: refused,
      yardstick: 'one',
      theirs: 1,
      unit: '',
      most: 0,
    });
    bench.report({
      what: 'memory of the server, at most after the first third once all had come',
      ours: most / 1024,
      yardstick: 'at most before',
      theirs: settled / 1024,
      unit: 'MB',
      most: 1.25,
    });
  } finally {
    agent.destroy();
  }
}

type Once = <Answer>(person: Person, method: string, path: string, body?: unknown) => Promise<Answer>;

/** What a device asks: one thing at a time, and what others wrote only where no answer on its way tells it already. */
class Phone {
  private since = '';
  private revision = 0;
  private heard = 0;
  private last: Promise<unknown> = Promise.resolve();
  private readonly here: string;

  constructor(
    private readonly person: Person,
    private readonly once: Once,
  ) {
    this.here = `?studio=${person.studioId}`;
  }

  fill(): Promise<void> {
    return this.after(() => this.pull());
  }

  /** Whether it was taken. */
  tap(): Promise<boolean> {
    return this.after(async () => {
      const body = { ...tap(this.person), since: this.since };
      const { answers, changes } = await this.once<BatchAnswer>(this.person, 'POST', `/api/batch${this.here}`, body);
      if (changes) this.take(changes);
      return answers.every(({ problem }) => problem === null);
    });
  }

  /** The server told of a newer revision. */
  hear(revision: number): void {
    this.heard = revision;
    void this.after(async () => {
      if (this.heard > this.revision) await this.pull();
    });
  }

  private async pull(): Promise<void> {
    for (let more = true; more;) {
      const changes = await this.once<Changes>(this.person, 'GET', `/api/changes${this.here}&since=${this.since}`);
      this.take(changes);
      ({ more } = changes);
    }
  }

  private take({ cursor, revision }: Pick<Changes, 'cursor' | 'revision'>): void {
    [this.since, this.revision] = [cursor, revision];
  }

  private after<Done>(what: () => Promise<Done>): Promise<Done> {
    const done = this.last.then(what);
    this.last = done;
    return done;
  }
}

/** Hears which revisions the server tells of; answers how it ends. */
function listenAt(address: string, person: Person, told: (revision: number) => void): () => void {
  const asked = request(address, { agent: false, headers: headersOf(person) }, (response) => {
    response.setEncoding('utf8').on('data', (word: string) => {
      const [, revision] = /^data: (\d+)/.exec(word) ?? [];
      if (revision) told(Number(revision));
    });
    // It is cut off at the end.
    response.on('error', () => undefined);
  });
  asked.on('error', () => undefined);
  asked.end();
  return () => asked.destroy();
}

const headersOf = ({ cookie, address }: Partial<Person>) => ({
  ...(cookie ? { Cookie: cookie } : {}),
  ...(address ? { 'X-Forwarded-For': address } : {}),
});

type Send = (person: Partial<Person>, method: string, path: string, body?: unknown) => Promise<Sent>;

/** Studios with an event and a piece each, and everybody signed in. */
async function gather(send: Send, { studios, people }: { studios: number; people: number }): Promise<Person[]> {
  const account = (name: string) => ({ name, signInName: name.toLowerCase(), email: null, password: PASSWORD });
  // Whoever is at the machine owns what is there: its piece is copied.
  const { body } = await send({}, 'GET', '/api/changes?nouns=event,piece');
  const { rows } = body as Changes;
  const [event, piece] = [rows.event![0]!, rows.piece![0]!];
  const first = await must(send({}, 'POST', '/api/owner', account('Owner0')));
  const crowd: Person[] = [];
  for (let s = 0; s < studios; s += 1) {
    const [studioId, eventId] = [randomUUID(), randomUUID()];
    const place = { studioId, eventId };
    const owner: Person = { ...place, cookie: first.cookie, address: '10.0.0.1' };
    await must(send(owner, 'POST', '/api/account/studios', { id: studioId, name: `Studio ${s}` }));
    const here = `?studio=${studioId}`;
    await must(send(owner, 'PUT', `/api/events/${eventId}${here}`, { ...event, id: eventId }));
    const own = { ...piece, id: randomUUID(), eventId };
    await must(send(owner, 'PUT', `/api/pieces/${own.id}${here}`, own));
    const joined = Array.from({ length: people }, async (_, p) => {
      const invitation = { id: randomUUID(), name: 'x', role: 'maker', eventId: null, until: null };
      const invited = await must(send(owner, 'POST', `/api/invitations${here}`, invitation));
      const { code } = invited.body as GivenCode;
      const address = `10.${s + 1}.${p}.1`;
      const name = `Hand${s}x${p}`;
      const { cookie } = await must(
        send({ address }, 'POST', '/api/invitations/join', { code, account: account(name) }),
      );
      return { ...place, cookie, address };
    });
    crowd.push(...(await Promise.all(joined)));
  }
  return crowd;
}

async function must(asked: Promise<Sent>): Promise<Sent> {
  const sent = await asked;
  if (sent.status >= 300) throw new Error(`${sent.status}: ${JSON.stringify(sent.body)}`);
  return sent;
}

/** A step of the site list that was looked at. */
function tap({ eventId }: Person) {
  const row = { id: randomUUID(), eventId, key: `step ${randomUUID()}`, at: new Date().toISOString() };
  return { commands: [{ key: randomUUID(), writes: [{ put: 'siteTick', row }] }] };
}

const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, Math.max(0, ms)));

function ask(
  agent: Agent,
  address: string,
  { person, method, body }: { person: Partial<Person>; method: string; body?: unknown },
): Promise<Sent> {
  const text = body === undefined ? null : JSON.stringify(body);
  const headers = {
    ...(text === null ? {} : { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(text) }),
    ...headersOf(person),
  };
  return new Promise((resolve, reject) => {
    const asked = request(address, { agent, method, headers }, (response) => {
      const pieces: Buffer[] = [];
      response.on('data', (piece: Buffer) => pieces.push(piece));
      response.on('end', () => {
        const all = Buffer.concat(pieces).toString();
        const cookie = (response.headers['set-cookie'] ?? []).map((line) => line.split(';')[0]).join('; ');
        resolve({ status: response.statusCode ?? 0, body: all === '' ? null : JSON.parse(all), cookie });
      });
    });
    asked.on('error', reject);
    asked.end(text ?? undefined);
  });
}

/** The memory that a process has now, as the system counts it (VmRSS), kB. */
function memoryOf(pid: number): number {
  const [, kB] = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8')) ?? [];
  return Number(kB ?? 0);
}
