import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

import { freePort, pause } from '../lib/processes.mjs';
import { startService } from '../lib/service.mjs';

import { startCluster } from './galera.mjs';

jest.setTimeout(3_600_000);

const KILLS = Number(process.env.LEGGERO_KILLS ?? 40);
const WRITERS = 4;
const SECRET = 'what all processes of this service have in common';

let folder;
let cluster;
let services;
beforeAll(async () => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'leggero-cluster-'));
  cluster = await startCluster({ folder });
  services = [];
  // One after the other: the first makes the tables.
  for (const node of cluster.nodes) services.push(await serviceOn(node));
});
afterAll(async () => {
  await Promise.all(services?.map(({ stop }) => stop()) ?? []);
  await cluster?.stop();
  rmSync(folder, { recursive: true, force: true });
});

/** A process of the service on a node of the database, which is started again whenever it ended. */
async function serviceOn(node) {
  const port = await freePort();
  const start = () => startService({ url: node.url, port, secret: SECRET, logLevel: 'silent' });
  let running = await start();
  return {
    at: `http://127.0.0.1:${port}`,
    async kill() {
      process.kill(running.pid, 'SIGKILL');
      await running.ended;
    },
    async start() {
      for (let tries = 0; ; tries += 1) {
        try {
          running = await start();
          return;
        } catch (error) {
          // Its node may be away just now.
          if (tries > 100) throw error;
          await pause(300);
        }
      }
    },
    stop: () => running.stop(),
  };
}

/** Sends commands, each until some process of the service took it, as what stands in front of them would. */
function writing() {
  const acknowledged = [];
  let going = true;
  const send = (at, command) =>
    fetch(`${at}/api/batch`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ commands: [command] }),
      signal: AbortSignal.timeout(15_000),
    }).then(
      async (response) => (response.ok ? response.json() : null),
      () => null,
    );
  const done = (async () => {
    for (let at = 0; going;) {
      const id = crypto.randomUUID();
      const row = { id, name: `Hand ${id.slice(0, 8)}` };
      const command = { key: crypto.randomUUID(), writes: [{ put: 'person', row }] };
      for (let taken = false; !taken && going;) {
        const answer = await send(services[at].at, command);
        taken = answer?.answers[0].problem === null;
        if (taken) acknowledged.push(id);
        else {
          at = (at + 1) % services.length;
          await pause(20);
        }
      }
    }
  })();
  return {
    async stop() {
      going = false;
      await done;
      return acknowledged;
    },
  };
}

/** What a node has: people by id, and how often each was made, as the deeds tell. */
async function recordsOf({ url }) {
  const { createConnection } = await import('mysql2/promise');
  const connection = await createConnection({ uri: url });
  try {
    await connection.query('set wsrep_sync_wait = 1');
    const [people] = await connection.query('select id from people order by id');
    const [deeds] = await connection.query('select told from deeds');
    const made = new Map();
    for (const { told } of deeds) {
      for (const { noun, id } of JSON.parse(told)) if (noun === 'person') made.set(id, (made.get(id) ?? 0) + 1);
    }
    return { people: people.map(({ id }) => id), made };
  } finally {
    await connection.end();
  }
}

it(`nothing that was acknowledged is lost, or there twice, by ${KILLS} kills of nodes and processes under writes`, async () => {
  const writers = Array.from({ length: WRITERS }, writing);
  const killed = { node: 0, process: 0 };
  try {
    for (let kill = 0; kill < KILLS; kill += 1) {
      await pause(100 + Math.random() * 400);
      const at = Math.floor(Math.random() * cluster.nodes.length);
      if (kill % 3 === 2) {
        await cluster.nodes[at].kill();
        await pause(Math.random() * 1000);
        // Two of three go on; a second one is not taken from them.
        await cluster.nodes[at].start();
        killed.node += 1;
      } else {
        await services[at].kill();
        await services[at].start();
        killed.process += 1;
      }
    }
  } finally {
    await Promise.all(writers.map((writer) => writer.stop()));
  }
  const acknowledged = (await Promise.all(writers.map((writer) => writer.stop()))).flat();
  const all = await Promise.all(cluster.nodes.map(recordsOf));
  for (const { people, made } of all) {
    const there = new Set(people);
    expect(acknowledged.filter((id) => !there.has(id))).toEqual([]);
    expect(acknowledged.filter((id) => made.get(id) !== 1)).toEqual([]);
    expect(people).toEqual(all[0].people);
  }
  process.stdout.write(
    `${acknowledged.length} acknowledged over ${killed.node} kills of nodes and ${killed.process} of processes\n`,
  );
  expect(acknowledged.length).toBeGreaterThan(5 * KILLS);
});
