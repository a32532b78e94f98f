import { fork, type ChildProcess } from 'node:child_process';
import path from 'node:path';

import type { Changes, NounName, RowOf } from '@leggero/contract';
import puppeteer, { type Browser } from 'puppeteer-core';

import { Visitor, type Viewport } from './visitor';
import { until } from './waiting';

/** What a world does when told to. */
type Order =
  | 'stop-database'
  | 'start-database'
  | 'restart-service'
  | 'stop-service'
  | 'start-service'
  | 'new-version'
  | 'restore-elsewhere';

/** A whole Leggero of its own, driven from outside. */
export interface World {
  readonly url: string;
  /** What a route of its API answers. */
  get<T>(route: string): Promise<T>;
  /** Makes a row by its route, past any page. */
  put(route: string, row: { id: string } & Record<string, unknown>): Promise<void>;
  /** The first row of a noun that is so, once the server has it. */
  kept<N extends NounName>(noun: N, is: (row: RowOf<N>) => boolean): Promise<RowOf<N>>;
  /** Someone with a browser of their own, on a page. */
  visit(address: string, viewport: Viewport): Promise<Visitor>;
  tell(order: Order): Promise<void>;
}

interface WorldOptions {
  /** With a database server of its own, which can be stopped. */
  alone?: boolean;
  /** With a browser of its own: another file that ends switches off what is set up in a shared one, such as keys. */
  ownBrowser?: boolean;
  /** A dump that it begins with, packed: the records of another version. */
  from?: string;
  /** Its visitors' browsers keep the app, and fetch its pages ahead. */
  keepsApp?: boolean;
}

/** What a world tells once it is there. */
interface Told {
  url: string;
  /** Where its own browser listens. */
  browser?: string;
}

/** What an address answers. A busy database is told as "try again" (503), which a page does too; else it is told whole. */
async function answerOf(address: string): Promise<unknown> {
  const { body } = await until(
    async () => {
      const answer = await fetch(address);
      if (answer.ok) return { body: (await answer.json()) as unknown };
      if (answer.status !== 503) throw new Error(`${address} answers ${answer.status}: ${await answer.text()}`);
      return null;
    },
    () => `${address} answers nothing but "try again"`,
  );
  return body;
}

/**
 * A world for the tests of one file, there before the first and ended after the last: with the demo, or with an empty
 * studio. All files share one Chromium and, unless they stop it, one database server.
 */
export function worldOf(
  kind: 'demo' | 'empty',
  { alone = false, ownBrowser = false, from, keepsApp = false }: WorldOptions = {},
): World {
  let child: ChildProcess;
  let browser: Browser;
  let url = '';
  let orders = 0;
  const visitors: Visitor[] = [];
  beforeAll(async () => {
    const how = [...(alone ? ['alone'] : []), ...(ownBrowser ? ['browser'] : []), ...(from ? [from] : [])];
    child = fork(path.join(__dirname, '../scripts/world.mjs'), [kind, ...how], { execArgv: [] });
    const told = new Promise<Told>((resolve, reject) => {
      child.once('message', (message) => resolve(message as Told));
      child.once('exit', () => reject(new Error('the world ended as it started')));
    });
    const { url: at, browser: own } = await told;
    [url, browser] = [at, await connect(own)];
  });
  afterAll(async () => {
    // Pages that are left open go on drawing and asking, beside whatever is tested next.
    await Promise.allSettled(visitors.map((visitor) => visitor.leave()));
    await browser?.disconnect();
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.disconnect();
    await ended;
  });
  const get = async <T>(route: string) => (await answerOf(`${url}/api/${route}`)) as T;
  return {
    get url() {
      return url;
    },
    get,
    async put(route, { id, ...body }) {
      const answer = await fetch(`${url}/api/${route}/${id}`, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
      });
      if (!answer.ok) throw new Error(`${route}: ${await answer.text()}`);
    },
    kept: (noun, is) =>
      until(
        async () => {
          const { rows } = await get<Changes>(`changes?since=&nouns=${noun}`);
          return (rows[noun] as RowOf<typeof noun>[] | undefined)?.find(is);
        },
        () => `${noun}: not kept`,
      ),
    async visit(address, viewport) {
      const visitor = await Visitor.open({ browser, home: url, address, viewport, keepsApp });
      visitors.push(visitor);
      return visitor;
    },
    tell(command) {
      const id = ++orders;
      return new Promise((resolve) => {
        const listen = (message: unknown) => {
          if ((message as { done?: number }).done !== id) return;
          child.off('message', listen);
          resolve();
        };
        child.on('message', listen);
        child.send({ command, id });
      });
    },
  };
}

function connect(browserWSEndpoint = process.env['LEGGERO_BROWSER']): Promise<Browser> {
  if (!browserWSEndpoint) throw new Error('run the journeys with npm run test:e2e');
  return puppeteer.connect({ browserWSEndpoint });
}
