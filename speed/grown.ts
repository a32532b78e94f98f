import { randomUUID } from 'node:crypto';

import mysql from 'mysql2/promise';

type Row = Record<string, unknown>;

/** How large a studio has grown. */
export interface Size {
  models: number;
  readings: number;
  pieces: number;
  checks: number;
}

const RESULTS = 12;
const AT_ONCE = 2000;

/** Lets a demo grow, by copies of what it has. Answers a balloon with a check that has only begun. */
export async function grow(databaseUrl: string, size: Size): Promise<{ modelId: string; checkId: string }> {
  const connection = await mysql.createConnection({ uri: databaseUrl, timezone: 'Z' });
  const like = async (table: string, which = 'true'): Promise<Row> => {
    const [[row]] = (await connection.query(`select * from ${table} where ${which} limit 1`)) as unknown as [Row[]];
    return row!;
  };
  const add = async (table: string, rows: Row[]) => {
    const columns = Object.keys(rows[0]!);
    for (let i = 0; i < rows.length; i += AT_ONCE) {
      const values = rows.slice(i, i + AT_ONCE).map((row) =>
        // What is kept as JSON comes out as an object.
        columns.map((column) => (isPlain(row[column]) ? JSON.stringify(row[column]) : row[column])),
      );
      await connection.query(`insert into ${table} (??) values ?`, [columns, values]);
    }
  };
  try {
    const [model, calibration, reading, piece] = [
      await like('models', "kind = 'round' and outer_id is null and nominal_mm > 250"),
      await like('calibrations'),
      await like('readings', "outcome = 'ok' and width_mm is not null and hole_id is null"),
      await like('pieces'),
    ];
    const [check, result] = [await like('checks'), await like('check_results', 'answer is not null')];
    const models = copies(size.models, (i) => ({
      ...model,
      id: randomUUID(),
      line: `Line ${i % 20}`,
      nominal_mm: [127, 178, 228, 279, 406][i % 5],
      colour_name: `colour ${i}`,
    }));
    const calibrations = models.map(({ id }) => ({ ...calibration, id: randomUUID(), model_id: id }));
    const readings = copies(size.readings, (i) => {
      const at = i % calibrations.length;
      const dose = 1 + (Math.floor(i / calibrations.length) % 8);
      return {
        ...reading,
        id: randomUUID(),
        calibration_id: calibrations[at]!.id,
        dose,
        width_mm: 0.45 * (models[at]!.nominal_mm as number) * Math.cbrt(dose) + (i % 7),
        height_mm: null,
        balloon: 1 + Math.floor(i / calibrations.length),
        taken_at: new Date(Date.UTC(2026, 0, 1) + i * 60_000),
      };
    });
    const checks = copies(size.checks, (i) => ({
      ...check,
      id: randomUUID(),
      model_id: models[i % models.length]!.id,
      size: RESULTS,
      run_id: null,
      piece_id: null,
      started_at: new Date(Date.UTC(2026, 1, 1) + i * 600_000),
    }));
    const results = checks
      .slice(0, -1)
      .flatMap(({ id }) => copies(RESULTS, (position) => ({ ...result, id: randomUUID(), check_id: id, position })));
    await add('models', models);
    await add('calibrations', calibrations);
    await add('readings', readings);
    await add(
      'pieces',
      copies(size.pieces, (i) => ({ ...piece, id: randomUUID(), name: `Piece ${i}` })),
    );
    await add('checks', checks);
    await add('check_results', results);
    const begun = checks.at(-1)!;
    return { modelId: String(begun.model_id), checkId: String(begun.id) };
  } finally {
    await connection.end();
  }
}

function copies<Made>(count: number, make: (i: number) => Made): Made[] {
  return Array.from({ length: count }, (_, i) => make(i));
}

function isPlain(value: unknown): value is object {
  return typeof value === 'object' && value !== null && !(value instanceof Date) && !Buffer.isBuffer(value);
}
