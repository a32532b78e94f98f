import { makeSchema, NOUNS } from '@leggero/contract';

import { connect, type Database } from '../server/src/db/connect';
import { WHOLE } from '../server/src/db/records';
import { makeRow } from '../server/src/records/commands';
import { inWriting } from '../server/src/records/writing';
import type { Bench } from './bench';
import { anotherOf, besideBareWrites } from './http';

const nothing = () => Promise.resolve();
/** Whoever writes has no private pages open. */
const NOBODY = { personId: null, signedIn: false, open: nothing, close: nothing, closeElsewhere: nothing };

/** A reading written by the generic store, against the same transaction by bare SQL. Medians. */
export async function measureStore(bench: Bench): Promise<void> {
  const schema = makeSchema(NOUNS.reading);
  let database: Database | undefined;
  try {
    await besideBareWrites(bench, ({ databaseUrl, studioId, calibration }) => {
      database = connect({ url: databaseUrl });
      const scope = { database, studioId, reach: WHOLE, viewer: NOBODY };
      return {
        write: async () => {
          const row = schema.parse(anotherOf(calibration));
          await inWriting(scope, (writing) => makeRow(writing, 'reading', row));
        },
        what: () => 'one reading through the store',
        most: 1.5,
      };
    });
  } finally {
    await database?.$client.end();
  }
}
