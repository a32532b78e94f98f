import { KEPT_NOUNS } from '@leggero/contract';
import type { Everything } from '@leggero/contract/everything';

import { databaseOn } from '../db/connect';
import type { Scope } from '../db/records';
import { asOfOneMoment } from '../db/stream';
import { revisionOf } from './revision';
import { rowsAfter } from './store';
import { weightOf } from './weight';

/** Rows written at once. */
const PAGE = 1000;

/**
 * Every record of the studio but the private ones, as of one moment, in the form of `everythingSchema`: piece by piece,
 * so that a grown studio never lies in memory whole.
 */
export function everything(scope: Scope, now: Date): AsyncGenerator<string> {
  return asOfOneMoment(scope.database, (connection) => piecesOf({ ...scope, database: databaseOn(connection) }, now));
}

async function* piecesOf(scope: Scope, now: Date): AsyncGenerator<string> {
  const head: Omit<Everything, 'rows'> = {
    leggero: 1,
    madeAt: now.toISOString(),
    revision: await revisionOf(scope),
  };
  yield `${JSON.stringify(head).slice(0, -1)},"rows":{`;
  for (const [at, noun] of KEPT_NOUNS.entries()) {
    yield `${at === 0 ? '' : ','}\n${JSON.stringify(noun)}:[`;
    const most = Math.ceil(PAGE / weightOf(noun));
    let last = '';
    for (;;) {
      const rows = await rowsAfter(scope, noun, { last, most });
      const before = last === '' ? '\n' : ',\n';
      if (rows.length > 0) yield before + rows.map((row) => JSON.stringify(row)).join(',\n');
      if (rows.length < most) break;
      last = rows.at(-1)!.id;
    }
    yield ']';
  }
  yield '}}\n';
}
