import { randomUUID } from 'node:crypto';

import type { Changes, EventRecord, ModelRecord, Write } from '@leggero/contract';

import { PHONE, type Bench } from './bench';
import { median } from './figure';
import { tapsOn, touch } from './page';
import { sendWrites } from './sendWrite';

/** Taps of the run before those that are timed. */
const TAPPED = 2000;
const TIMED = 15;
const SLOWER = 4;
/** Hands are slower than that. */
const PAUSE_MS = 800;
const BATCHES = 12;
const AT_ONCE = 150;

/** A tap at a station of a long inflation run until its figure is painted, on a phone that is slowed four times. */
export async function measureStation(bench: Bench): Promise<void> {
  const { url } = await bench.freshWorld();
  const page = await bench.open(await longRun(url, bench.smoke ? 20 : TAPPED), PHONE);
  await page.emulateCPUThrottling(SLOWER);
  const selector = '::-p-aria([name="Done"][role="button"])';
  // The first one begins a turn.
  await touch(page, selector);
  await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
  const taps = await tapsOn(page, { selector, rounds: bench.rounds(TIMED), pauseMs: PAUSE_MS });
  bench.report({
    what: `a tap at a station until it is painted, ${TAPPED} taps in the run, slowed ${SLOWER} times (median of ${taps.length})`,
    ours: median(taps),
    yardstick: 'the time it may take',
    theirs: 50,
    ...{ unit: 'ms', most: 1 },
  });
}

/** A run with so many taps at two stations, spread over its batches; answers the page of one of them. */
async function longRun(url: string, taps: number): Promise<string> {
  const { rows } = (await (await fetch(`${url}/api/changes?since=&nouns=event,model`)).json()) as Changes;
  const [event] = rows.event as EventRecord[];
  const [model] = rows.model as ModelRecord[];
  const inflationId = randomUUID();
  const began = Date.now() - taps * 10_000;
  const at = (i: number) => new Date(began + i * 10_000).toISOString();
  const about = { modelId: model!.id, colourHex: model!.colourHex, toleranceMm: 6.35, dose: 7, timed: false };
  const ids = Array.from({ length: BATCHES }, () => ({ batchId: randomUUID(), turnId: randomUUID() }));
  const each = Math.ceil(taps / BATCHES);
  await sendWrites(url, [
    { put: 'inflation', row: { id: inflationId, eventId: event!.id, startedAt: at(0) } },
    ...ids.flatMap(({ batchId, turnId }, place): Write[] => [
      {
        put: 'inflationBatch',
        // The last is never through.
        row: {
          ...about,
          id: batchId,
          inflationId,
          key: `${place}`,
          place,
          fillMm: 241.3,
          count: each * (place === BATCHES - 1 ? 9 : 1),
        },
      },
      {
        put: 'turn',
        row: { id: turnId, batchId, station: `Table ${(place % 2) + 1}`, atOnce: 1, startedAt: at(place * each) },
      },
    ]),
  ]);
  const tallies = Array.from({ length: taps }, (_, i): Write => {
    const { turnId } = ids[Math.floor(i / each)]!;
    return {
      put: 'tally',
      row: { id: randomUUID(), turnId, what: i % 40 === 0 ? 'popped' : 'done', count: 1, at: at(i) },
    };
  });
  for (let from = 0; from < taps; from += AT_ONCE) await sendWrites(url, tallies.slice(from, from + AT_ONCE));
  return `${url}/builds/events/${event!.id}/run?station=Table%202&batch=${ids.at(-1)!.batchId}`;
}
