import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

import { ROOT } from '../lib/paths.mjs';
import { freePort } from '../lib/processes.mjs';

/**
 * Starts of `npm start`'s script, each test with a state folder of its own; whatever still runs is ended after it.
 * Answers how one is started, and where its folder is.
 */
export function startsForTests() {
  let state;
  const running = [];
  beforeEach(() => {
    state = mkdtempSync(path.join(os.tmpdir(), 'leggero-start-'));
  });
  afterEach(async () => {
    for (const { child, ended } of running.splice(0)) {
      child.kill('SIGTERM');
      await ended;
    }
    rmSync(state, { recursive: true, force: true });
  });

  /** Begins a start; `opened` resolves once it is open or has ended. */
  async function begin({ port, env = {}, user, script = 'start.mjs' } = {}) {
    const chosen = port ?? (await freePort());
    const child = spawn(process.execPath, [path.join(ROOT, 'scripts', script)], {
      cwd: ROOT,
      env: { ...process.env, NODE_ENV: 'production', LEGGERO_STATE: state, PORT: String(chosen), ...env },
      ...(user === undefined ? {} : { uid: user, gid: user }),
    });
    let output = '';
    let errors = '';
    child.stderr.on('data', (chunk) => (errors += chunk));
    const ended = new Promise((resolve) => child.once('close', (code) => resolve(code)));
    const open = new Promise((resolve) => {
      child.stdout.on('data', (chunk) => {
        output += chunk;
        if (output.includes('is open at')) resolve(null);
      });
    });
    const started = {
      child,
      ended,
      opened: Promise.race([open, ended]),
      port: chosen,
      api: (route, init) => fetch(`http://127.0.0.1:${chosen}/api/${route}`, init),
      output: () => output,
      errors: () => errors.trim(),
    };
    running.push(started);
    return started;
  }

  return {
    get state() {
      return state;
    },
    /** A file or folder of the studio's own state. */
    folder: (...parts) => path.join(state, 'studio', ...parts),
    begin,
    /** Starts; resolves once it is open, with `code` null, or has ended. */
    async start(options) {
      const begun = await begin(options);
      return { ...begun, code: await begun.opened };
    },
    databasePid: () => Number(readFileSync(path.join(state, 'studio/mariadb.pid'), 'utf8')),
  };
}

/** Ends a start; answers its exit code. */
export async function stop({ child, ended }, signal = 'SIGINT') {
  child.kill(signal);
  return ended;
}

/** Sends a body to a start. */
export function send({ api }, route, body) {
  return api(route, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
}

/** The same start as asked by whoever has a cookie. */
export function withCookie({ api }, Cookie) {
  return { api: (route, init = {}) => api(route, { ...init, headers: { ...init.headers, Cookie } }) };
}

/** Adds a tier of this name, and answers the status. */
export async function addTier(started, name, leastFraction = 0.35) {
  const range = { leastFraction, fraction: leastFraction + 0.01, mostFraction: leastFraction + 0.02 };
  const tier = { id: crypto.randomUUID(), name, ...range, purpose: '', position: 5 };
  return (await send(started, 'tiers', tier)).status;
}

/** The names of the studio's tiers. */
export async function tierNames({ api }) {
  return (await (await api('tiers')).json()).map(({ name }) => name);
}
