import { randomUUID } from 'node:crypto';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

import type { ModelDetail, PieceRecord, ShelfModel, SizerRecord, TierRecord } from '@leggero/contract';
import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/mysql2/migrator';
import supertest from 'supertest';

import type { Database } from '../src/db/connect';
import { applyMigrations } from '../src/db/migrate';
import { createApp } from '../src/http/app';
import { openStudio } from '../src/studio/store';

import { emptyDatabase, promised } from './service';

const MIGRATIONS = path.join(__dirname, '../src/db/migrations');
const ids = Object.fromEntries(
  [
    'studio',
    'tier',
    'pump',
    'model',
    'calibration',
    'reading',
    'burst',
    'sizer',
    'hole',
    'check',
    'result',
    'target',
  ].map((name) => [name, randomUUID()]),
) as Record<string, string>;

let database: Database;
let drop: () => Promise<void>;
let request: ReturnType<typeof supertest>;
beforeAll(async () => {
  ({ database, drop } = await emptyDatabase());
  await asItWas(database, 1);
  await fill(database);
  await applyMigrations(database);
  const studioId = await openStudio({ database });
  request = supertest(createApp({ database, studioId }));
});
afterAll(() => drop());

/** The tables after so many migrations, and no later ones. */
async function asItWas(to: Database, migrations: number): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'leggero-migrations-'));
  try {
    const journal = JSON.parse(readFileSync(path.join(MIGRATIONS, 'meta/_journal.json'), 'utf8')) as {
      entries: { tag: string }[];
    };
    const entries = journal.entries.slice(0, migrations);
    mkdirSync(path.join(folder, 'meta'));
    writeFileSync(path.join(folder, 'meta/_journal.json'), JSON.stringify({ ...journal, entries }));
    for (const { tag } of entries) cpSync(path.join(MIGRATIONS, `${tag}.sql`), path.join(folder, `${tag}.sql`));
    await migrate(to, { migrationsFolder: folder });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Writes a row as it stands, whatever tables there are by now. */
function into(to: Database) {
  return (table: string, values: Record<string, string | number | null>) => {
    const columns = sql.raw(Object.keys(values).join(', '));
    const cells = sql.join(
      Object.values(values).map((value) => sql`${value}`),
      sql`, `,
    );
    return to.execute(sql`insert into ${sql.raw(table)} (${columns}) values (${cells})`);
  };
}

/** An artist's records as the first version kept them. */
async function fill(to: Database): Promise<void> {
  const row = into(to);
  const { studio: studio_id, tier, pump, model, calibration, sizer, check } = ids as Required<typeof ids>;
  const at = '2025-03-01 18:00:00.000';
  await row('studios', { id: studio_id!, name: 'Saltmarsh', unit: 'in', step_mm: 3.175, days_standing: 3, demo: 0 });
  await row('tiers', { id: tier!, studio_id: studio_id!, name: 'Classic', fraction: 0.9, purpose: '', position: 0 });
  await row('pumps', {
    id: pump!,
    studio_id: studio_id!,
    name: 'Barge pump',
    kind: 'hand',
    stroke_volume_l: 1.1,
    demo: 0,
  });
  await row('models', {
    id: model!,
    studio_id: studio_id!,
    line: 'Tarn Satin',
    kind: 'round',
    nominal_mm: 279.4,
    finish: 'pearl',
    colour_name: 'tide blue',
    colour_hex: '#2a6f97',
    demo: 0,
  });
  await row('calibrations', {
    id: calibration!,
    studio_id: studio_id!,
    model_id: model!,
    pump_id: pump!,
    pre_stretched: 1,
    rounded_off: 0,
    started_at: at,
    demo: 0,
  });
  const reading = { studio_id: studio_id!, calibration_id: calibration!, sd_mm: null, shape: null, taken_at: at };
  await row('readings', { ...reading, id: ids['reading']!, dose: 4, width_mm: 203.2, height_mm: 205, outcome: 'ok' });
  await row('readings', { ...reading, id: ids['burst']!, dose: 12, width_mm: null, height_mm: null, outcome: 'burst' });
  await row('sizers', { id: sizer!, studio_id: studio_id!, name: 'Plate', demo: 0 });
  await row('sizer_holes', { id: ids['hole']!, studio_id: studio_id!, sizer_id: sizer!, label: '9', width_mm: 228.6 });
  await row('checks', {
    id: check!,
    studio_id: studio_id!,
    model_id: model!,
    tier_name: 'Classic',
    target_mm: 241.3,
    tolerance_mm: 6.35,
    size: 12,
    started_at: at,
    demo: 0,
  });
  await row('check_results', {
    id: ids['result']!,
    studio_id: studio_id!,
    check_id: check!,
    position: 0,
    answer: 'passes',
    width_mm: null,
    taken_at: at,
  });
  await row('accepted_targets', {
    id: ids['target']!,
    studio_id: studio_id!,
    model_id: model!,
    tier_id: tier!,
    tier_name: 'Classic',
    revision: 1,
    width_mm: 241.3,
    tolerance_mm: 6.35,
    dose: 7.5,
    origin: 'measured',
    days_standing: 3,
    accepted_at: at,
  });
}

describe('a database filled by the first version', () => {
  it('keeps every balloon with its calibration, readings, checks and kept targets', async () => {
    const [onShelf] = promised<ShelfModel[]>('listModels', (await request.get('/api/models').expect(200)).body);
    expect(onShelf).toMatchObject({ id: ids['model'], line: 'Tarn Satin', nominalMm: 279.4, colourHex: '#2a6f97' });
    const { body } = await request.get(`/api/models/${ids['model']}`).expect(200);
    const detail = promised<ModelDetail>('readModel', body);
    const [calibration] = detail.calibrations;
    expect(calibration).toMatchObject({ id: ids['calibration'], pumpId: ids['pump'], preStretched: true });
    const readings = calibration!.readings.map(({ id, dose, widthMm, heightMm, outcome, way }) => ({
      ...{ id, dose, widthMm, heightMm, outcome, way },
    }));
    expect(readings).toEqual(
      expect.arrayContaining([
        { id: ids['reading'], dose: 4, widthMm: 203.2, heightMm: 205, outcome: 'ok', way: 'tape' },
        { id: ids['burst'], dose: 12, widthMm: null, heightMm: null, outcome: 'burst', way: 'tape' },
      ]),
    );
    expect(detail.targets).toMatchObject([{ id: ids['target'], revision: 1, widthMm: 241.3, dose: 7.5 }]);
    expect(detail.checks).toMatchObject([
      { id: ids['check'], size: 12, pairs: false, lotSize: null, results: [{ answer: 'passes', position: 0 }] },
    ]);
  });

  it('has what came since, as it was before anyone could say otherwise', async () => {
    const { body } = await request.get(`/api/models/${ids['model']}`);
    expect(body).toMatchObject({ decor: 'none', stock: null, outerId: null, innerId: null, lengthMm: null });
    expect((await request.get('/api/studio').expect(200)).body).toMatchObject({
      name: 'Saltmarsh',
      workroomTempC: 21,
      workroomAltitudeM: 0,
    });
    const [sizer] = promised<SizerRecord[]>('listSizers', (await request.get('/api/sizers').expect(200)).body);
    expect(sizer).toMatchObject({
      id: ids['sizer'],
      keeper: '',
      holes: [{ label: '9', widthMm: 228.6, measurements: [] }],
    });
  });

  it('gives the tiers of then a range around what they aim at', async () => {
    const tiers = promised<TierRecord[]>('listTiers', (await request.get('/api/tiers').expect(200)).body);
    expect(tiers).toHaveLength(1);
    const [{ fraction, leastFraction, mostFraction }] = tiers as [TierRecord];
    expect(fraction).toBe(0.9);
    expect(leastFraction).toBeCloseTo(0.87, 6);
    expect(mostFraction).toBeGreaterThan(0.9);
  });

  it('goes on being used: a reading more, and a second upgrade changes nothing', async () => {
    const more = {
      id: randomUUID(),
      calibrationId: ids['calibration'],
      dose: 5,
      widthMm: 219,
      heightMm: null,
      sdMm: null,
      shape: 'round',
      outcome: 'ok',
      takenAt: '2026-11-01T10:00:00.000Z',
    };
    await request.post('/api/readings').send(more).expect(201);
    await applyMigrations(database);
    const { body } = await request.get(`/api/models/${ids['model']}`).expect(200);
    expect((body as ModelDetail).calibrations[0]!.readings).toHaveLength(3);
  });
});

describe('checks of pieces from before there were runs', () => {
  it('that began within a second of one another are a run, in the order they began', async () => {
    const old = await emptyDatabase();
    try {
      await asItWas(old.database, 7);
      const row = into(old.database);
      const [studio_id, model_id, column, arch] = Array.from({ length: 4 }, () => randomUUID()) as [
        string,
        string,
        string,
        string,
      ];
      await row('studios', { id: studio_id, name: 'Saltmarsh', unit: 'in', step_mm: 3.175, days_standing: 3 });
      await row('models', {
        ...{ id: model_id, studio_id, line: 'Tarn Satin', kind: 'round', nominal_mm: 279.4, finish: 'pearl' },
        ...{ colour_name: 'tide blue', colour_hex: '#2a6f97' },
      });
      const design = JSON.stringify({ form: 'ring', count: 9, rings: [], thing: null });
      for (const id of [column, arch])
        await row('pieces', { id, studio_id, name: 'Piece', design, created_at: '2026-03-01 10:00:00.000' });
      const begun: [at: string, piece: string | null, layer: string][] = [
        ['18:00:00.002', column, 'ring-2'],
        ['18:00:00.000', column, 'spokes'],
        ['18:00:00.001', column, 'ring-1'],
        ['18:00:00.001', arch, 'ring-1'],
        ['18:00:01.900', column, 'anew-1'],
        ['18:00:02.850', column, 'anew-2'],
        ['18:00:00.000', null, 'none'],
      ];
      for (const [at, piece_id, layer] of begun)
        await row('checks', {
          ...{ id: randomUUID(), studio_id, model_id, tier_name: 'Classic', target_mm: 241.3, tolerance_mm: 6.35 },
          ...{ size: 6, piece_id, layer, started_at: `2026-03-01 ${at}` },
        });
      await applyMigrations(old.database);
      const again = supertest(createApp({ database: old.database, studioId: studio_id }));
      const pieces = (await again.get('/api/pieces').expect(200)).body as PieceRecord[];
      const runsOf = (id: string) => {
        const runs = new Map<string, string[]>();
        const checks = [...pieces.find((piece) => piece.id === id)!.checks].sort((a, b) => a.place! - b.place!);
        for (const { runId, layer } of checks) runs.set(runId!, [...(runs.get(runId!) ?? []), layer!]);
        return [...runs.values()].sort();
      };
      expect(runsOf(column)).toEqual([
        ['anew-1', 'anew-2'],
        ['spokes', 'ring-1', 'ring-2'],
      ]);
      expect(runsOf(arch)).toEqual([['ring-1']]);
      const { checks } = (await again.get(`/api/models/${model_id}`).expect(200)).body as ModelDetail;
      expect(checks.find(({ pieceId }) => pieceId === null)).toMatchObject({ runId: null, place: null });
    } finally {
      await old.drop();
    }
  });
});
