import type { ShelfModel } from '@leggero/contract';
import mysql from 'mysql2/promise';

import type { Bench } from './bench';
import { median, timedAsync } from './figure';

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
    const both = { http: [] as number[], sql: [] as number[] };
    for (let i = 0; i < warmUp + reads; i += 1) {
      const http = await timedAsync(overHttp);
      const sql = await timedAsync(bare);
      if (i < warmUp) continue;
      both.http.push(http);
      both.sql.push(sql);
    }
    report({
      what: `a model with ${model.calibrations[0]?.readings.length} readings over HTTP (median of ${reads})`,
      ours: median(both.http),
      yardstick: 'the same rows by bare SQL on one connection',
      theirs: median(both.sql),
      unit: 'ms',
      most: 5,
    });
  } finally {
    await connection.end();
  }
}

const STATEMENTS = [
  'select * from models where id = ?',
  'select * from calibrations where model_id = ? order by started_at desc',
  'select r.* from readings r join calibrations c on c.id = r.calibration_id where c.model_id = ? order by r.taken_at',
  'select * from accepted_targets where model_id = ? order by accepted_at desc',
  'select * from checks where model_id = ? order by started_at desc',
  'select r.* from check_results r join checks c on c.id = r.check_id where c.model_id = ? order by r.position',
];
