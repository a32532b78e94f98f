import { once } from 'node:events';
import { readFileSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { pathToFileURL } from 'node:url';

import type { Page } from 'puppeteer-core';

import { PHONE, type Bench } from './bench';
import { median } from './figure';
import { grow } from './grown';
import { measureNumber } from './numbers';
import { longTasks, redrawsOf, tapsOn, touch, watchLongTasksFromStart } from './page';
import { buildEmpty, ROOT, serve } from './size';

const OFFLINE = pathToFileURL(path.join(ROOT, 'scripts/lib/offline.mjs')).href;
const REGISTERS = "<script>navigator.serviceWorker.register('/sw.js')</script>";

const GROWN = { models: 300, readings: 100_000, pieces: 200, checks: 2000 };
const LITTLE = { models: 6, readings: 60, pieces: 2, checks: 4 };
const SLOWER = 4;
const OPENINGS = 9;
const TAPS = 7;
const FIRST_TAPS = 3;

/** Opening, filling and tapping on a device of a grown studio. */
export async function measureReplica(bench: Bench): Promise<void> {
  const world = await bench.freshWorld();
  const { modelId, checkId } = await grow(world.databaseUrl, bench.smoke ? LITTLE : GROWN);
  const empty = bench.smoke ? null : await startEmpty();
  try {
    const page = await phoneOf(bench);
    await measureFill(bench, page, world.url);
    await measureOpening(bench, page, { shelf: `${world.url}/shelf`, empty: empty?.url });
    await measureOffline(bench, page, { deep: `${world.url}/shelf/${modelId}`, empty: empty?.url });
    await measureSearch(bench, page, `${world.url}/search`);
    await measureNumber(bench, page, world.url);
    const check = `${world.url}/shelf/${modelId}/check/${checkId}`;
    await measureTap(bench, page, { check, empty: empty?.url });
    await measureSecondDevice(bench, page, check);
  } finally {
    empty?.end();
  }
}

async function phoneOf({ blank }: Bench): Promise<Page> {
  const page = await blank();
  await page.setViewport({ ...PHONE, isMobile: true, hasTouch: true });
  return page;
}

/** An empty app at an address of its own, kept on the device as the app itself is. */
async function startEmpty(): Promise<{ url: string; end: () => void }> {
  const folder = buildEmpty();
  const index = path.join(folder, 'index.html');
  writeFileSync(index, readFileSync(index, 'utf8').replace('</body>', `${REGISTERS}</body>`));
  const { keepOffline } = (await import(OFFLINE)) as { keepOffline: (folder: string) => Promise<void> };
  await keepOffline(folder);
  const server = serve(folder);
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  const end = () => {
    server.close();
    server.closeAllConnections();
  };
  return { url: `http://127.0.0.1:${port}/`, end };
}

const settled = (page: Page) =>
  page.waitForFunction(() => document.documentElement.dataset['settled'] !== undefined, {
    timeout: 300_000,
    polling: 100,
  });

/** The first time: until everything is on the device, and the longest task on the way. */
async function measureFill({ report }: Bench, page: Page, url: string): Promise<void> {
  await watchLongTasksFromStart(page);
  const since = performance.now();
  await page.goto(`${url}/studio`, { waitUntil: 'domcontentloaded' });
  await settled(page);
  report({
    what: 'the first fill of a device, 127,000 records, until all is shown',
    ours: (performance.now() - since) / 1000,
    yardstick: 'as long as it may take',
    theirs: 60,
    unit: 's',
    most: 1,
  });
  const began = await page.evaluate(() => {
    const answers = performance.getEntriesByType('resource') as PerformanceResourceTiming[];
    return answers.find(({ name }) => name.includes('/api/changes'))!.responseEnd;
  });
  report({
    what: 'the longest task from the first rows on',
    ours: await longTasks(page, began),
    yardstick: 'what blocks a page noticeably',
    theirs: 50,
    unit: 'ms',
    most: 1,
  });
}

/** The address of an empty app, to hold a page against; none in a smoke. */
interface Beside {
  empty: string | undefined;
}

/** A page, and what it says once it is open. */
interface Opened {
  address: string;
  says: string;
}

/** From asking for the page until the first balloon of the shelf stands there, against the first words of an empty app. */
async function measureOpening(
  { rounds, report }: Bench,
  page: Page,
  { shelf, empty }: { shelf: string } & Beside,
): Promise<void> {
  const { ours, theirs } = await openings(page, { address: shelf, says: 'Line' }, empty, rounds(OPENINGS));
  report({
    what: `opening the shelf of 300 balloons again (median of ${ours.length})`,
    ours: median(ours),
    yardstick: 'an empty Expo app',
    theirs: median(theirs),
    unit: 'ms',
    most: 1.5,
  });
}

/** A page and an empty app opened so many times, by turns: a machine is quicker at one time than at another. */
async function openings(
  page: Page,
  own: Opened,
  empty: string | undefined,
  times: number,
): Promise<{ ours: number[]; theirs: number[] }> {
  const [ours, theirs]: [number[], number[]] = [[], []];
  for (let i = 0; i < times; i += 1) {
    ours.push(await opening(page, own));
    theirs.push(empty ? await opening(page, { address: empty, says: 'empty' }) : ours.at(-1)!);
  }
  return { ours, theirs };
}

async function opening(page: Page, { address, says }: Opened): Promise<number> {
  await page.goto('about:blank');
  await page.goto(address, { waitUntil: 'domcontentloaded' });
  const seen = await page.waitForFunction(
    (text) => document.body?.innerText.includes(text) && performance.now(),
    { polling: 10 },
    says,
  );
  return (await seen.jsonValue()) as number;
}

/** The same from what the device keeps, at an address deep in the app and without a network. */
async function measureOffline(
  { rounds, report }: Bench,
  page: Page,
  { deep, empty }: { deep: string } & Beside,
): Promise<void> {
  for (const address of [deep, ...(empty ? [empty] : [])]) {
    await page.goto(address, { waitUntil: 'domcontentloaded' });
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  }
  await page.setOfflineMode(true);
  const { ours, theirs } = await openings(page, { address: deep, says: 'Line' }, empty, rounds(OPENINGS));
  await page.setOfflineMode(false);
  report({
    what: `opening a balloon's page without a network (median of ${ours.length})`,
    ours: median(ours),
    yardstick: 'an empty Expo app that is installed',
    theirs: median(theirs),
    unit: 'ms',
    most: 1.5,
  });
}

const SOUGHT = 'line 11 kelp';

/** From a letter typed into the search until what it finds stands there. */
async function measureSearch({ rounds, report }: Bench, page: Page, address: string): Promise<void> {
  await page.goto(address, { waitUntil: 'domcontentloaded' });
  const field = await page.waitForSelector(SEARCH);
  await settled(page);
  const draws = await redrawsOf(page, {
    on: 'input',
    drawing: '#hits',
    rounds: rounds(SOUGHT.length),
    act: (round) => field!.type(SOUGHT[round]!),
    pauseMs: PAUSE_MS,
  });
  report({
    what: `a letter typed into the search until its results are drawn (median of ${draws.length})`,
    ours: median(draws),
    yardstick: 'the time it may take',
    theirs: 50,
    unit: 'ms',
    most: 1,
  });
}

/** An answer of a check until it is painted, and what it costs over the wire. */
async function measureTap(bench: Bench, page: Page, { check, empty }: { check: string } & Beside): Promise<void> {
  const { rounds, report } = bench;
  await page.goto(check, { waitUntil: 'domcontentloaded' });
  await page.waitForSelector(ANSWER);
  await settled(page);
  const wire = await watchWire(page);
  const slowly = async (on: Page, selector: string, shows: string, times: number) => {
    await on.waitForSelector(selector);
    await on.emulateCPUThrottling(SLOWER);
    const taps = await tapsOn(on, { selector, shows, rounds: times, pauseMs: PAUSE_MS });
    await on.emulateCPUThrottling(1);
    return taps;
  };
  const taps = await slowly(page, ANSWER, '[role=status]', rounds(TAPS));
  await settled(page);
  const ours = median(taps);
  const what = `an answer of a check until it is painted, slowed ${SLOWER} times (median of ${taps.length})`;
  report({ what, ours, yardstick: 'the time it may take', theirs: 50, unit: 'ms', most: 1 });
  if (empty) {
    const other = await phoneOf(bench);
    await other.goto(empty);
    const theirs = median(await slowly(other, '::-p-aria([name="tap"])', '[role=button]', rounds(TAPS)));
    report({ what, ours, yardstick: 'a tap that an empty app counts', theirs, unit: 'ms', most: 2 });
  }
  const bytes = wire.bytes();
  const firsts: number[] = [];
  for (let round = 0; round < rounds(FIRST_TAPS); round += 1) {
    await page.goto(check, { waitUntil: 'domcontentloaded' });
    await page.waitForSelector(ANSWER);
    await settled(page);
    await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
    firsts.push(...(await slowly(page, ANSWER, '[role=status]', 1)));
  }
  report({
    what: `the first answer after its page was opened (median of ${firsts.length})`,
    ours: median(firsts),
    yardstick: 'those that follow',
    theirs: ours,
    ...{ unit: 'ms', most: 2 },
  });
  report({
    what: 'an answer of a check over the wire, headers and bodies both ways',
    ours: bytes / taps.length,
    yardstick: 'what it may cost',
    theirs: 2048,
    unit: 'bytes',
    most: 1,
  });
}

/** An answer that was given without a network: from the network's return until another device shows it. */
async function measureSecondDevice({ blank, report }: Bench, page: Page, address: string): Promise<void> {
  const other = await blank();
  await other.goto(address, { waitUntil: 'domcontentloaded' });
  await other.waitForSelector(ANSWER);
  await settled(other);
  const before = await other.evaluate(() => document.body.innerText);
  await page.setOfflineMode(true);
  await touch(page, ANSWER);
  await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
  const since = performance.now();
  await page.setOfflineMode(false);
  await other.waitForFunction((text) => document.body.innerText !== text, { polling: 20 }, before);
  report({
    what: 'an answer given without a network, from its return until another device shows it',
    ours: performance.now() - since,
    yardstick: 'the time it may take',
    theirs: 2000,
    unit: 'ms',
    most: 1,
  });
}

const SEARCH = '::-p-aria([name="Search everything"][role="textbox"])';
const ANSWER = '::-p-aria([name="Just passes: right"])';
/** A hand's own pause between two balloons. */
const PAUSE_MS = 800;

/** Counts what goes to the server and comes back. */
async function watchWire(page: Page): Promise<{ bytes: () => number }> {
  const session = await page.createCDPSession();
  await session.send('Network.enable');
  const asked = new Set<string>();
  let bytes = 0;
  session.on('Network.requestWillBeSent', ({ requestId, request }) => {
    if (!request.url.includes('/api/')) return;
    asked.add(requestId);
    bytes += (request.postData?.length ?? 0) + JSON.stringify(request.headers).length;
  });
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (asked.has(requestId)) bytes += encodedDataLength;
  });
  return { bytes: () => bytes };
}
