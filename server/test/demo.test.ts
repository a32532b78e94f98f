import {
  coreHoldTest,
  coreReading,
  lengthReading,
  modelDetailSchema,
  type ModelDetail,
  type PieceRecord,
  type ShelfModel,
} from '@leggero/contract';
import { fitCalibration, fitHold, resolveTarget, STANDARD_TIERS } from '@leggero/core';
import { fitLength } from '@leggero/core/modelling';
import supertest from 'supertest';

import { fillDemo } from '../src/demo/fill';
import { DEMO_MODELS, DEMO_PAIRS, DEMO_PUMPS, DEMO_SPECIALS } from '../src/demo/scenario';
import { createApp } from '../src/http/app';

import { promised, serviceForTests } from './service';

const service = serviceForTests();
let request: ReturnType<typeof supertest>;
let studioId: string;
beforeAll(async () => {
  studioId = await fillDemo(service);
  request = supertest(createApp({ database: service.database, studioId }));
});

async function details(): Promise<ModelDetail[]> {
  const shelf = (await request.get('/api/models')).body as ShelfModel[];
  return Promise.all(
    shelf.map(async ({ id }) => modelDetailSchema.parse((await request.get(`/api/models/${id}`)).body)),
  );
}

describe('the demo', () => {
  it('is filled once, and marked as demo data', async () => {
    expect(await fillDemo(service)).toBe(studioId);
    const models = await details();
    // One more: the linking balloon that the pieces are made of.
    expect(models).toHaveLength(DEMO_MODELS.length + DEMO_SPECIALS.length + DEMO_PAIRS.length + 1);
    const pieces = promised<PieceRecord[]>('listPieces', (await request.get('/api/pieces')).body);
    expect(pieces.map(({ design }) => design.form)).toEqual([
      'column',
      'taper',
      'basket',
      'curtain',
      'swag',
      'hoop',
      'garland',
      'rope',
      'bow',
      'ball',
      'ring',
    ]);
    expect(pieces.every(({ demo }) => demo)).toBe(true);
    expect(models.every(({ demo, calibrations }) => demo && calibrations.every((c) => c.demo))).toBe(true);
  });

  it('has readings whose fit finds the pumps they were made with, and names the one slip', async () => {
    let outliers = 0;
    for (const model of await details()) {
      const source = DEMO_MODELS.find((m) => m.line === model.line && Math.abs(m.nominalMm - model.nominalMm) < 0.1);
      const readings = model.calibrations[0]?.readings.map(coreReading) ?? [];
      const used = source?.calibrations[0];
      if (!used || readings.length < 4) continue;
      const pump = DEMO_PUMPS[used.pump];
      const fit = fitCalibration({ nominalMm: model.nominalMm, readings, pump });
      if (!fit.ok) throw new Error(`${model.line}: ${fit.problem.code}`);
      expect(Math.abs(fit.value.doseVolumeL / pump.doseVolumeL - 1)).toBeLessThan(0.12);
      outliers += fit.value.outliers.length;
      const [classic] = STANDARD_TIERS.filter(({ name }) => name === 'Classic');
      const target = resolveTarget({
        nominalMm: model.nominalMm,
        tier: classic!,
        fit: fit.value,
        daysStanding: 1,
        step: 3.175,
      });
      expect(target.ok && target.value.dose).not.toBeNull();
    }
    expect(outliers).toBe(1);
  });

  it('shows every way to dose, a bracket, two preparations of one balloon, and balloons left standing', async () => {
    const models = await details();
    const readings = models.flatMap(({ calibrations }) => calibrations).flatMap((calibration) => calibration.readings);
    expect(readings.some(({ way, stopsMm }) => way === 'bracket' && stopsMm !== null)).toBe(true);
    expect(new Set(readings.map(({ nozzle }) => nozzle))).toEqual(new Set([null, 'left', 'right']));
    expect(models.some(({ calibrations }) => new Set(calibrations.map((c) => c.roundedOff)).size === 2)).toBe(true);
    const kept = models.flatMap(({ holdTests }) => holdTests).map(coreHoldTest);
    expect(fitHold({ tests: kept, closing: { wraps: 2, stuffed: false } })).toMatchObject({ ok: true });
    expect(kept.length).toBe(3);
  });

  it('has batches of twelve: five evenings by the tape, the last of them large, and one with a small balloon', async () => {
    const checks = (await details()).flatMap((model) => model.checks);
    // Newest first: by answers at the hole, and before that by the tape.
    expect(checks.map(({ results }) => results.filter(({ widthMm }) => widthMm !== null).length)).toEqual([
      0,
      ...Array.from({ length: 5 }, () => 12),
    ]);
    const means = checks
      .slice(1)
      .map(({ targetMm, results }) => results.reduce((sum, { widthMm }) => sum + widthMm! - targetMm, 0) / 12);
    expect(Math.max(...means)).toBe(means[0]);
    expect(checks[0]!.results.map(({ answer }) => answer).filter((answer) => answer !== 'passes')).toEqual(['falls']);
  });

  it('has pairs whose colours are known or to be estimated, and a modelling balloon with its length read', async () => {
    const models = await details();
    const pairs = models.filter(({ outerId }) => outerId !== null);
    expect(pairs).toHaveLength(DEMO_PAIRS.length);
    for (const { outerId, innerId, nominalMm } of pairs) {
      const [outer, inner] = [outerId, innerId].map((id) => models.find((model) => model.id === id)!);
      expect(outer!.nominalMm).toBe(nominalMm);
      expect(inner!.nominalMm).toBeLessThanOrEqual(nominalMm);
    }
    expect(new Set(pairs.map(({ seenHex }) => seenHex === null))).toEqual(new Set([true, false]));
    const long = models.find(({ kind }) => kind === 'modelling')!;
    const size = { code: '260', widthMm: long.nominalMm, lengthMm: long.lengthMm! };
    const law = fitLength({ size, readings: long.calibrations[0]!.readings.map(lengthReading) });
    expect(law.ok && law.value.perDoseMm).toBeCloseTo(86, -1);
  });
});
