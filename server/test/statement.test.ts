import { randomUUID } from 'node:crypto';

import { NOUN_NAMES } from '@leggero/contract';
import { getTableColumns, sql } from 'drizzle-orm';
import type { RowDataPacket } from 'mysql2';

import { databaseError } from '../src/db/connect';
import { inserter } from '../src/db/insert';
import { statements } from '../src/db/statement';
import { pumps, readings, sizers } from '../src/db/tables';
import { transact } from '../src/db/transact';
import { findRow, listRows, rowsAmong } from '../src/records/store';
import { demoForTests } from './service';

/** One of the database's own counters. */
interface Status extends RowDataPacket {
  Value: string;
}

const demo = demoForTests();
const pump = inserter(pumps);
const addPump = (database: typeof demo.database, by: object) =>
  pump(database, { id: randomUUID(), studioId: demo.studioId, name: 'Foot pump', kind: 'hand', ...by });

const byId = <Row extends { id: string }>(rows: Row[]) => rows.toSorted((a, b) => (a.id < b.id ? -1 : 1));

describe('a statement that is kept', () => {
  it('answers the same rows as one that is built anew, of every noun', async () => {
    const met: string[] = [];
    for (const name of NOUN_NAMES) {
      const rows = await listRows(demo, name);
      if (rows.length > 0) met.push(name);
      for (const some of [rows.slice(0, 1), rows.slice(0, 5), rows]) {
        const kept = await rowsAmong(
          demo,
          name,
          some.map(({ id }) => id),
        );
        // Rows that an order does not tell apart come in any.
        expect(byId(kept)).toEqual(byId(some));
      }
    }
    expect(met).toEqual(expect.arrayContaining(['studio', 'person', 'reading', 'checkResult', 'piece', 'bag']));
  });

  it('answers moments to the thousandth, also where there are none', async () => {
    const [calibration] = await listRows(demo, 'calibration');
    for (const at of ['2026-11-30 08:15:00', '2026-11-30 08:15:00.070']) {
      await demo.database.execute(sql`update calibrations set started_at = ${at} where id = ${calibration!.id}`);
      const kept = await findRow(demo, 'calibration', calibration!.id);
      expect(kept).toEqual((await listRows(demo, 'calibration')).find(({ id }) => id === calibration!.id));
      expect(kept!.startedAt).toBe(`${at.replace(' ', 'T')}${at.includes('.') ? '' : '.000'}Z`);
    }
  });

  it('keeps the order of its noun', async () => {
    const tiers = await listRows(demo, 'tier');
    const ids = tiers.slice(1, 4).map(({ id }) => id);
    expect((await rowsAmong(demo, 'tier', ids.reverse())).map(({ position }) => position)).toEqual([1, 2, 3]);
  });

  it('reads few rows where few are asked for, also right after very many came', async () => {
    const { id, ...others } = getTableColumns(readings);
    const columns = Object.values(others).map(({ name }) => sql.identifier(name));
    const all = sql.join(columns, sql`, `);
    const many = sql`insert into readings (${sql.identifier(id.name)}, ${all}) select uuid(), ${all} from readings`;
    while ((await demo.database.$count(readings)) < 5000) await demo.database.execute(many);
    const some = (await listRows(demo, 'reading')).slice(0, 8).map((reading) => reading.id);
    const [rows, read] = await transact(demo.database, async (within) => {
      // Of its connection alone: what it reads from here on.
      const readSoFar = async () => {
        const [counts] = (await within.execute(
          sql`show session status where Variable_name regexp '^Handler_(read|icp_attempts)'`,
        )) as unknown as [Status[]];
        return counts.reduce((sum, { Value }) => sum + Number(Value), 0);
      };
      const before = await readSoFar();
      const found = await rowsAmong({ ...demo, database: within }, 'reading', some);
      return [found.length, (await readSoFar()) - before];
    });
    expect(rows).toBe(8);
    expect(read).toBeLessThan(100);
  });

  it('finds nothing of another studio, and nothing among none', async () => {
    const [pump] = await listRows(demo, 'pump');
    const elsewhere = { ...demo, studioId: randomUUID() };
    expect(await findRow(elsewhere, 'pump', pump!.id)).toBeNull();
    expect(await rowsAmong(elsewhere, 'pump', [pump!.id])).toEqual([]);
    expect(await rowsAmong(demo, 'pump', [])).toEqual([]);
  });

  it('that fails says by which code, and keeps its connection', async () => {
    const [pump] = await listRows(demo, 'pump');
    const failed = await addPump(demo.database, { id: pump!.id }).catch((error: unknown) => error);
    expect(databaseError(failed)?.code).toBe('ER_DUP_ENTRY');
    await addPump(demo.database, { name: 'Another' });
    expect((await listRows(demo, 'pump')).map(({ name }) => name)).toContain('Another');
  });

  it('writes what is given alone, null where that is given, and leaves a row that is there as it is where it should', async () => {
    const id = randomUUID();
    await addPump(demo.database, { id, doseVolumeL: null, mostKPa: undefined, elsewhere: 1 });
    expect(await findRow(demo, 'pump', id)).toMatchObject({ doseVolumeL: null, mostKPa: null, demo: false });
    const [sizer] = await listRows(demo, 'sizer');
    const again = { ...sizer!, studioId: demo.studioId, name: 'Renamed' };
    expect(await inserter(sizers, { orLeave: true })(demo.database, again)).toMatchObject({ affectedRows: 0 });
    expect(await findRow(demo, 'sizer', sizer!.id)).toEqual(sizer);
  });

  it('is put together once for what it is for', () => {
    let built = 0;
    const count = statements((table: string) => {
      built += 1;
      return sql`select count(*) from ${sql.identifier(table)} where id = ${sql.placeholder('id')}`;
    });
    expect([count('pumps'), count('pumps')]).toEqual([count('pumps'), count('pumps')]);
    expect(count('tiers').text).toContain('tiers');
    expect(built).toBe(2);
    for (let i = 0; i < 600; i += 1) count(`t${i}`);
    // However many are asked for, no more than some hundred are kept.
    count('pumps');
    expect(built).toBe(603);
  });
});

describe('a transaction', () => {
  it('is whole or nothing, and its connection serves others after', async () => {
    const names = async () => (await listRows(demo, 'pump')).map(({ name }) => name);
    const before = await names();
    const failing = transact(demo.database, async (within) => {
      await addPump(within, { name: 'Never' });
      throw new Error('thought better of it');
    });
    await expect(failing).rejects.toThrow('thought better of it');
    expect(await names()).toEqual(before);
    expect(await transact(demo.database, (within) => addPump(within, { name: 'Kept' }).then(() => 'done'))).toBe(
      'done',
    );
    expect(await names()).toContain('Kept');
  });

  it('whose connection is lost tells why it failed, and the next has another', async () => {
    const lost = transact(demo.database, async (within) => {
      const [[own]] = (await within.execute(sql`select connection_id() as id`)) as unknown as [RowDataPacket[]];
      await demo.database.execute(sql`kill ${sql.raw(String(own!['id']))}`).catch(() => undefined);
      await addPump(within, { name: 'Lost' });
    });
    expect(databaseError(await lost.catch((error: unknown) => error))?.code).toMatch(/LOST|ECONNRESET|EPIPE|KILLED/);
    expect(await transact(demo.database, (within) => addPump(within, { name: 'After' }).then(() => 'done'))).toBe(
      'done',
    );
  });
});
