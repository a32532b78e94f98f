import { randomUUID } from 'node:crypto';

import type { CalibrationRecord, MakeInputOf, ShelfModel } from '@leggero/contract';
import mysql from 'mysql2/promise';

import type { Bench } from './bench';
import { median, timedAsync } from './figure';
import { sendWrite } from './sendWrite';

const READS = 500;
const WARM_UP = 100;

/** Reading a model with its calibration over HTTP, against the same six queries on one connection. Medians. */
export async function measureHttp({ world: open, rounds, report }: Bench): Promise<void> {
  const world = await open();
  const [reads, warmUp] = [rounds(READS), rounds(WARM_UP)];
  const connection = await mysql.createConnection({ uri: world.databaseUrl, timezone: 'Z' });
  try {
    const shelf = (await (await fetch(`${world.url}/api/models`)).json()) as ShelfModel[];
    const model = shelf.find(({ calibrations }) => (calibrations[0]?.readings.length ?? 0) >= 10) ?? shelf[0]!;
    const overHttp = async () => void (await (await fetch(`${world.url}/api/models/${model.id}`)).json());
    const bare = async () => {
      for (const text of STATEMENTS) await connection.execute(text, [model.id]);
    };
    const { ours, theirs } = await sideBySide({ ours: overHttp, theirs: bare, warmUp, times: reads });
    report({
      what: `a model with ${model.calibrations[0]?.readings.length} readings over HTTP (median of ${reads})`,
      ours,
      yardstick: 'the same rows by bare SQL on one connection',
      theirs,
      unit: 'ms',
      most: 5,
    });
  } finally {
    await connection.end();
  }
}

/** Both by turns, so many times after a warm-up; medians, ms. */
async function sideBySide({
  ours,
  theirs,
  warmUp,
  times,
}: {
  ours: () => Promise<void>;
  theirs: () => Promise<void>;
  warmUp: number;
  times: number;
}): Promise<{ ours: number; theirs: number }> {
  const took = { ours: [] as number[], theirs: [] as number[] };
  for (let i = 0; i < warmUp + times; i += 1) {
    const [own, yardstick] = [await timedAsync(ours), await timedAsync(theirs)];
    if (i < warmUp) continue;
    took.ours.push(own);
    took.theirs.push(yardstick);
  }
  return { ours: median(took.ours), theirs: median(took.theirs) };
}

const WRITES = 300;

/** A tap: a reading in a batch of its own over HTTP, against the same transaction by bare SQL. Medians, and its bytes. */
export async function measureWrites(bench: Bench): Promise<void> {
  await besideBareWrites(bench, ({ url, calibration }) => {
    let bytes = 0;
    return {
      write: async () => {
        bytes = await tap(url, calibration);
      },
      what: () => `a tap: one reading over HTTP, ${bytes} bytes both ways`,
      most: 3.5,
    };
  });
}

/** Where readings are written in a world. */
interface Place {
  url: string;
  databaseUrl: string;
  studioId: string;
  calibration: CalibrationRecord;
}

/** How one reading is written, and what that is called once it was. */
interface Writer {
  write: () => Promise<void>;
  what: () => string;
  most: number;
}

/** Readings written in some way by turns with the same transaction by bare SQL on one connection; medians. */
export async function besideBareWrites(
  { freshWorld, rounds, report }: Bench,
  writerAt: (place: Place) => Writer,
): Promise<void> {
  const world = await freshWorld();
  const [times, warmUp] = [rounds(WRITES), rounds(WARM_UP)];
  const connection = await mysql.createConnection({ uri: world.databaseUrl, timezone: 'Z' });
  try {
    const shelf = (await (await fetch(`${world.url}/api/models`)).json()) as ShelfModel[];
    const calibration = shelf.flatMap(({ calibrations }) => calibrations).find(({ readings }) => readings.length > 4)!;
    const [[studio]] = (await connection.query('select studio_id as id from models limit 1')) as unknown as [
      { id: string }[],
    ];
    const { write, what, most } = writerAt({ ...world, studioId: studio!.id, calibration });
    const bare = () => bareWrite(connection, studio!.id, calibration);
    const { ours, theirs } = await sideBySide({ ours: write, theirs: bare, warmUp, times });
    report({
      what: `${what()} (median of ${times})`,
      ours,
      yardstick: 'the same transaction by bare SQL on one connection',
      theirs,
      unit: 'ms',
      most,
    });
  } finally {
    await connection.end();
  }
}

/** A reading like the first of a calibration, as it is made anew. */
export const anotherOf = ({ id, readings: [like] }: CalibrationRecord): MakeInputOf<'reading'> => ({
  ...like!,
  id: randomUUID(),
  calibrationId: id,
});

/** Sends one reading as a device does; answers the bytes of both bodies. */
function tap(url: string, calibration: CalibrationRecord): Promise<number> {
  return sendWrite(url, { put: 'reading', row: anotherOf(calibration) });
}

/** What the store does for a reading, statement by statement. */
async function bareWrite(
  connection: mysql.Connection,
  studioId: string,
  calibration: CalibrationRecord,
): Promise<void> {
  const {
    id: calibrationId,
    modelId,
    readings: [like],
  } = calibration;
  const id = randomUUID();
  await connection.beginTransaction();
  await connection.execute('update studios set revision = last_insert_id(revision + 1) where id = ?', [studioId]);
  await connection.execute('select * from readings where id = ?', [id]);
  await connection.execute('select * from calibrations where id = ?', [calibrationId]);
  await connection.execute('select * from models where id = ?', [modelId]);
  await connection.execute(
    'insert into readings (id, studio_id, calibration_id, dose, width_mm, outcome, taken_at) values (?, ?, ?, ?, ?, ?, ?) returning *',
    [id, studioId, calibrationId, like!.dose, 200, 'ok', new Date(like!.takenAt)],
  );
  const told = JSON.stringify([{ noun: 'reading', id, was: null, is: like }]);
  await connection.execute(
    'insert into deeds (id, studio_id, revision, at, told, kept, row_count, is_private) ' +
      'values (?, ?, last_insert_id(), now(3), ?, ?, 1, 0)',
    [randomUUID(), studioId, told, told],
  );
  await connection.execute(
    'insert into changes (studio_id, noun, row_id, there, revision) values (?, ?, ?, 1, last_insert_id()) ' +
      'on duplicate key update revision = values(revision)',
    [studioId, 'reading', id],
  );
  await connection.commit();
}

const STATEMENTS = [
  'select * from models where id = ?',
  'select * from calibrations where model_id = ? order by started_at desc',
  'select r.* from readings r join calibrations c on c.id = r.calibration_id where c.model_id = ? order by r.taken_at',
  'select * from accepted_targets where model_id = ? order by accepted_at desc',
  'select * from checks where model_id = ? order by started_at desc',
  'select r.* from check_results r join checks c on c.id = r.check_id where c.model_id = ? order by r.position',
];
