import { pause } from '../lib/processes.mjs';
import { startsForTests } from '../test/starts.mjs';

const KILLS = Number(process.env.LEGGERO_KILLS ?? 40);
jest.setTimeout(KILLS * 15_000);

const starts = startsForTests();

/** Writes one record after another until told to stop; answers the ids of those that were acknowledged. */
function writing({ api }) {
  const acknowledged = [];
  let going = true;
  const done = (async () => {
    while (going) {
      const id = crypto.randomUUID();
      const body = JSON.stringify({ id, name: `Hand ${id.slice(0, 8)}` });
      const init = { method: 'POST', headers: { 'Content-Type': 'application/json' }, body };
      const answer = await api('people', init).catch(() => null);
      if (answer?.status === 201) acknowledged.push(id);
      else await pause(20);
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

async function answering({ api }) {
  for (let tries = 0; ; tries += 1) {
    if (
      await api('health').then(
        ({ ok }) => ok,
        () => false,
      )
    )
      return;
    if (tries > 300) throw new Error('it does not answer any more');
    await pause(50);
  }
}

/**
 * The ids of those the studio has. A connection that is not yet known to be broken is told as "try again" (503), as it
 * is to a page, which does; anything else is told whole.
 */
async function peopleOf(started) {
  let answer = await started.api('people');
  for (let tries = 0; answer.status === 503 && tries < 20; tries += 1) {
    await answering(started);
    answer = await started.api('people');
  }
  if (!answer.ok) throw new Error(`it answers ${answer.status}: ${await answer.text()}`);
  const people = await answer.json();
  return new Set(people.map(({ id }) => id));
}

it(`nothing that was acknowledged is lost by ${KILLS} kills under writes`, async () => {
  const acknowledged = [];
  let started = await starts.start();
  for (let kill = 0; kill < KILLS; kill += 1) {
    const writers = [writing(started), writing(started)];
    await pause(50 + Math.random() * 250);
    if (kill % 4 === 3) {
      started.child.kill('SIGKILL');
      await started.ended;
      for (const writer of writers) acknowledged.push(...(await writer.stop()));
      started = await starts.start();
      expect([started.code, started.errors()]).toEqual([null, '']);
    } else {
      process.kill(starts.databasePid(), 'SIGKILL');
      await pause(300);
      for (const writer of writers) acknowledged.push(...(await writer.stop()));
      // The database server is started again by itself, three times in the life of each start.
    }
    await answering(started);
    const there = await peopleOf(started);
    expect(acknowledged.filter((id) => !there.has(id))).toEqual([]);
  }
  expect(acknowledged.length).toBeGreaterThan(10 * KILLS);
});
