import { fork } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import path from 'node:path';

import { launchChromium } from './lib/chromium.mjs';
import { cookieOf } from './lib/cookies.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { ROOT } from './lib/paths.mjs';
import { run, say } from './lib/refusal.mjs';

const PHONE = { width: 390, height: 844, deviceScaleFactor: 2 };
const WIDE = { width: 1280, height: 800, deviceScaleFactor: 1 };
const FOLDER = path.join(ROOT, 'docs/screenshots');

/** Renews docs/screenshots/ from the demo data. */
await run(async () => {
  await ensurePackages();
  const world = fork(path.join(ROOT, 'scripts/world.mjs'), ['demo']);
  const { url } = await new Promise((resolve) => world.once('message', resolve));
  const models = await (await fetch(`${url}/api/models`)).json();
  const eleven = models.find(({ line, nominalMm }) => line === 'Fennimore Standard' && Math.round(nominalMm) === 279);
  const [check] = (await (await fetch(`${url}/api/models/${eleven.id}`)).json()).checks;
  const pieces = await (await fetch(`${url}/api/pieces`)).json();
  const pieceOf = (form) => pieces.find(({ design }) => design.form === form).id;
  const [owner] = await (await fetch(`${url}/api/people`)).json();
  const { cookie, eyeCheck } = await ownersEye(url, owner.id);
  const model = `/shelf/${eleven.id}`;
  const half = await halfCheck(url, eleven.id, check);
  const views = [
    ['bench-phone', '/bench', PHONE],
    ['shelf-phone', '/shelf', PHONE],
    ['model-phone', model, PHONE],
    ['model-evening-phone', model, PHONE, 'dark'],
    ['check-phone', `${model}/check/${half}`, PHONE],
    ['logbook-phone', `/logbook/${eleven.id}`, PHONE],
    ['schedule-phone', `/builds/events/${pieces[0].eventId}/schedule`, PHONE],
    ['run-phone', await stationOf(url, pieces[0].eventId, eleven), PHONE],
    ['model-wide', `${model}?temp=33&alt=0&hours=12&wraps=2`, WIDE],
    ['make-wide', '/gauges/make', WIDE],
    ['eye-phone', `/gauges/eye/${eyeCheck.id}`, PHONE],
    ['event-wide', `/builds/events/${pieces[0].eventId}`, WIDE],
    ['column-phone', `/builds/${pieceOf('column')}`, PHONE],
    ['recipe-phone', `/builds/events/${pieces[0].eventId}/recipe`, PHONE],
    ['sheet-wide', `/builds/events/${pieces[0].eventId}/sheet?for=client`, WIDE],
    ['garland-wide', `/builds/${pieceOf('garland')}`, WIDE],
    // Last, for its event stands then.
    ['repair-phone', `/builds/${pieceOf('column')}`, PHONE],
    // The very last: from then on nobody is answered who has not signed in.
    ['crew-phone', '/studio/crew', PHONE],
    ['trail-phone', '/studio/trail', PHONE],
  ];
  let crew = {};
  mkdirSync(FOLDER, { recursive: true });
  const browser = await launchChromium();
  for (const [name, address, viewport, choice = 'light'] of views) {
    if (name.startsWith('repair')) await standsSince(url, pieces[0].eventId, 2);
    const page = await browser.newPage();
    await page.setViewport(viewport);
    const theme = JSON.stringify({ state: { choice }, version: 0 });
    await page.evaluateOnNewDocument((value) => localStorage.setItem('leggero-theme', value), theme);
    // What is private is shown as its owner sees it.
    if (name.startsWith('eye')) await page.setExtraHTTPHeaders({ cookie });
    if (name.startsWith('crew')) crew = await crewOf(url, pieces[0].eventId);
    if (name.startsWith('trail'))
      await workOf(url, crew, { model: models.find(({ line }) => line === 'Tarn Satin').id, piece: pieceOf('column') });
    if (crew.Wren) await page.setExtraHTTPHeaders({ cookie: crew.Wren });
    await page.goto(`${url}${address}`, { waitUntil: 'domcontentloaded' });
    await settled(page);
    await page.evaluate(() => document.fonts.ready);
    if (name.startsWith('garland')) await page.waitForSelector('::-p-text(By the rule of the trade)');
    if (name.startsWith('recipe')) await scrollTo(page, '[role=listitem][aria-label^="Batch E"]');
    if (name.startsWith('repair')) {
      await (await page.waitForSelector('[aria-label="One of these failed"]')).click();
      await page.waitForSelector('[aria-label^="One anew"]');
    }
    if (name.startsWith('sheet')) await page.waitForSelector('[role=img][aria-label^="Side by side"] image');
    // A garland is packed before it stands among the pieces of its event.
    await new Promise((resolve) => setTimeout(resolve, name.startsWith('event') ? 8000 : 500));
    await page.screenshot({ path: path.join(FOLDER, `${name}.png`) });
    await page.close();
    say(`docs/screenshots/${name}.png`);
  }
  await browser.close();
  world.disconnect();
});

/** Has an event stand since so many days, and nothing made for it since. */
async function standsSince(url, eventId, days) {
  const { rows } = await (await fetch(`${url}/api/changes?since=&nouns=inflation`)).json();
  for (const { id } of rows.inflation ?? []) await fetch(`${url}/api/inflations/${id}`, { method: 'DELETE' });
  const opensAt = new Date(Date.now() - days * 86_400_000).toISOString();
  const changed = await fetch(`${url}/api/events/${eventId}`, {
    method: 'PATCH',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ state: 'up', opensAt }),
  });
  if (!changed.ok) throw new Error(`the event is not up: ${changed.status}`);
}

/** Has the studio owned, and others work in it; answers the cookie of each by their name. */
async function crewOf(url, eventId) {
  const account = (name) => ({ name, signInName: name.toLowerCase(), email: null, password: 'kelp and a rope of roe' });
  const send = async (route, body, cookie = '') => {
    const headers = { 'Content-Type': 'application/json', cookie };
    const answer = await fetch(`${url}/api/${route}`, { method: 'POST', headers, body: JSON.stringify(body) });
    if (!answer.ok) throw new Error(await answer.text());
    return answer;
  };
  const cookies = { Wren: cookieOf(await send('owner', account('Wren'))) };
  const until = new Date(Date.now() + 4 * 86_400_000).toISOString();
  for (const [name, role, helps] of [
    ['Moss', 'planner', {}],
    ['Teal', 'maker', {}],
    ['Sprat', 'helper', { eventId, until }],
  ]) {
    const asked = { id: crypto.randomUUID(), name, role, ...helps };
    const { code } = await (await send('invitations', asked, cookies.Wren)).json();
    cookies[name] = cookieOf(await send('invitations/join', { code, account: account(name) }));
  }
  await send('invitations', { id: crypto.randomUUID(), name: 'Heron', role: 'maker' }, cookies.Wren);
  return cookies;
}

/** Has each of them do something that can be taken back. */
async function workOf(url, { Wren, Moss, Teal }, { model, piece }) {
  const send = async (cookie, method, route, body) => {
    const headers = { 'Content-Type': 'application/json', cookie };
    const answer = await fetch(`${url}/api/${route}`, {
      method,
      headers,
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    if (!answer.ok) throw new Error(await answer.text());
  };
  await send(Wren, 'PATCH', 'studio', { workroomTempC: 23.5 });
  const step = { id: crypto.randomUUID(), text: 'Count the weights twice', createdAt: new Date().toISOString() };
  await send(Teal, 'PUT', `own-steps/${step.id}`, step);
  await send(Moss, 'PATCH', `pieces/${piece}`, { name: 'Kelp by the door', copies: 3 });
  await send(Moss, 'DELETE', `models/${model}`);
}

/** All of the page is there: the network never rests, since a device goes on listening. */
function settled(page) {
  return page.waitForFunction(
    () =>
      document.documentElement.dataset.settled === location.pathname &&
      document.querySelector('[role=main]') !== null &&
      document.querySelector('#detail')?.innerText.trim() !== '' &&
      document.querySelector('[aria-busy=true]') === null,
  );
}

/** Brings what is found into sight, once it is there. */
async function scrollTo(page, selector) {
  const found = await page.waitForSelector(selector);
  await found.evaluate((node) => node.scrollIntoView({ block: 'center' }));
}

/** The owner's session, and the newest check of that eye alone. */
async function ownersEye(url, personId) {
  const session = await fetch(`${url}/api/session`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ personId }),
  });
  const cookie = cookieOf(session);
  const checks = await (await fetch(`${url}/api/people/${personId}/eye-checks`, { headers: { cookie } })).json();
  return { cookie, eyeCheck: checks.find(({ mode }) => mode === 'one') };
}

/** A station of an inflation run in its first batch, whose last checks lean; answers its page. */
async function stationOf(url, eventId, { id: modelId, colourHex }) {
  const put = async (route, row) => {
    const { id = crypto.randomUUID(), ...body } = row;
    const headers = { 'Content-Type': 'application/json' };
    const answer = await fetch(`${url}/api/${route}/${id}`, { method: 'PUT', headers, body: JSON.stringify(body) });
    if (!answer.ok) throw new Error(await answer.text());
    return id;
  };
  const minutesAgo = (minutes) => new Date(Date.now() - minutes * 60_000).toISOString();
  const aim = { fillMm: 241.3, toleranceMm: 6.35, count: 60 };
  const inflationId = await put('inflations', { eventId, startedAt: minutesAgo(20) });
  const about = { ...aim, inflationId, modelId, colourHex, dose: 7, timed: false };
  const [batchId] = await Promise.all(
    Array.from({ length: 7 }, (_, place) => put('inflation-batches', { ...about, key: `shown ${place}`, place })),
  );
  const turnId = await put('turns', { batchId, station: 'Table 1', atOnce: 2, startedAt: minutesAgo(20) });
  for (let i = 0; i < 19; i += 1)
    await put('tallies', { turnId, what: 'done', count: 2, at: minutesAgo(18 - i * 0.8) });
  for (const what of ['popped', 'pinhole']) await put('tallies', { turnId, what, count: 1, at: minutesAgo(7.1) });
  const { fillMm: targetMm, toleranceMm, count: size } = aim;
  const check = { modelId, tierName: 'Inflation run', targetMm, toleranceMm, size, turnId, startedAt: minutesAgo(17) };
  const checkId = await put('checks', check);
  for (const [position, answer] of ['passes', 'stops', 'stops', 'passes', 'stops', 'stops', 'stops', 'stops'].entries())
    await put('check-results', { checkId, position, answer, widthMm: null, takenAt: minutesAgo(16 - 1.6 * position) });
  return `/builds/events/${eventId}/run?station=Table%201&two=1&batch=${batchId}`;
}

/** A check that stands at its eighth balloon. */
async function halfCheck(url, modelId, { id: _, results: __, demo: ___, ...rest }) {
  const post = (route, body) =>
    fetch(`${url}/api/${route}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
  const id = crypto.randomUUID();
  await post('checks', { ...rest, id, modelId });
  const answers = ['passes', 'passes', 'passes', 'stops', 'passes', 'falls', 'passes'];
  for (const [position, answer] of answers.entries()) {
    const takenAt = new Date(Date.UTC(2026, 10, 22, 18, position)).toISOString();
    await post('check-results', {
      id: crypto.randomUUID(),
      checkId: id,
      position,
      answer,
      widthMm: null,
      takenAt,
    });
  }
  return id;
}
