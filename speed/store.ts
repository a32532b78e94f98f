import { randomUUID } from 'node:crypto';

import { NOUNS, makeSchema, type CalibrationRecord, type ShelfModel } from '@leggero/contract';
import mysql from 'mysql2/promise';

import { connect } from '../server/src/db/connect';
import { makeRow } from '../server/src/records/commands';
import { inWriting } from '../server/src/records/writing';
import type { Bench } from './bench';
import { bareWrite, sideBySide, WARM_UP, WRITES } from './http';

const nothing = () => undefined;
/** Whoever writes has no private pages open. */
const NOBODY = { personId: null, open: nothing, close: nothing, closeElsewhere: nothing };

/** A reading written by the generic store, against the same transaction by bare SQL on one connection. Medians. */
export async function measureStore({ freshWorld, rounds, report }: Bench): Promise<void> {
  const world = await freshWorld();
  const [writes, warmUp] = [rounds(WRITES), rounds(WARM_UP)];
  const connection = await mysql.createConnection({ uri: world.databaseUrl, timezone: 'Z' });
  const database = connect({ url: world.databaseUrl });
  try {
    const shelf = (await (await fetch(`${world.url}/api/models`)).json()) as ShelfModel[];
    const calibration = shelf.flatMap(({ calibrations }) => calibrations).find(({ readings }) => readings.length > 4)!;
    const [[studio]] = (await connection.query('select studio_id as id from models limit 1')) as unknown as [
      { id: string }[],
    ];
    const scope = { database, studioId: studio!.id, viewer: NOBODY };
    const schema = makeSchema(NOUNS.reading);
    const byStore = async () => {
      const row = schema.parse({ ...likeOf(calibration), id: randomUUID() });
      await inWriting(scope, (writing) => makeRow(writing, 'reading', row));
    };
    const bare = () => bareWrite(connection, studio!.id, calibration);
    const { ours, theirs } = await sideBySide({ ours: byStore, theirs: bare, warmUp, times: writes });
    report({
      what: `one reading through the store (median of ${writes})`,
      ours,
      yardstick: 'the same transaction by bare SQL on one connection',
      theirs,
      unit: 'ms',
      most: 1.5,
    });
  } finally {
    await database.$client.end();
    await connection.end();
  }
}

const likeOf = ({ id, readings: [like] }: CalibrationRecord) => ({ ...like!, calibrationId: id });
