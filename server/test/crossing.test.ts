import { randomUUID } from 'node:crypto';

import type { AcceptedTarget, ModelDetail, SizerRecord, TierRecord } from '@leggero/contract';

import { untilUncrossed } from '../src/db/again';

import { model, onceFree, promised, serviceForTests } from './service';

const service = serviceForTests();

describe('changes that cross one another', () => {
  it('of one sizer’s holes are all carried out', async () => {
    const hole = (label: string, widthMm: number) => ({ id: randomUUID(), label, widthMm });
    const sizer = {
      id: randomUUID(),
      name: 'Plate',
      keeper: '',
      holes: Array.from({ length: 12 }, (_, i) => ({ ...hole(String(i), 100 + i), measurements: [] })),
    };
    await service.request.post('/api/sizers').send(sizer).expect(201);
    const shifted = (by: number) => sizer.holes.map((each, i) => ({ ...each, widthMm: 100 + ((i + by) % 12) }));
    const statuses = await Promise.all(
      Array.from({ length: 80 }, async (_, i) => {
        const change = i % 4 === 0 ? { holes: [...shifted(i), hole('more', 300 + i)] } : { holes: shifted(i) };
        return (await onceFree(() => service.request.patch(`/api/sizers/${sizer.id}`).send(change))).status;
      }),
    );
    expect(statuses).toEqual(Array(80).fill(200));
    const [stored] = promised<SizerRecord[]>('listSizers', (await service.request.get('/api/sizers')).body);
    expect(new Set(stored!.holes.map(({ widthMm }) => widthMm)).size).toBe(stored!.holes.length);
  });

  it('are tried again a few times, and no other failure is', async () => {
    const crossed = Object.assign(new Error('Deadlock found'), { code: 'ER_LOCK_DEADLOCK' });
    let tries = 0;
    const third = untilUncrossed(async () => {
      tries += 1;
      if (tries < 3) throw new Error('Failed query', { cause: crossed });
      return 'done';
    });
    expect([await third, tries]).toEqual(['done', 3]);
    tries = 0;
    const always = untilUncrossed(async () => {
      tries += 1;
      throw crossed;
    });
    await expect(always).rejects.toThrow('Deadlock');
    expect(tries).toBe(10);
    tries = 0;
    const other = untilUncrossed(async () => {
      tries += 1;
      throw Object.assign(new Error('Duplicate'), { code: 'ER_DUP_ENTRY' });
    });
    await expect(other).rejects.toThrow('Duplicate');
    expect(tries).toBe(1);
  });
});

describe('what another one holds', () => {
  it('is waited for less long than a device waits, and is said to be busy', async () => {
    const balloon = model();
    const connection = await service.database.$client.getConnection();
    await connection.beginTransaction();
    await connection.query('select id from studios for update');
    const since = performance.now();
    const busy = await service.request.put(`/api/models/${balloon.id}`).send(balloon);
    const seconds = (performance.now() - since) / 1000;
    await connection.rollback();
    connection.release();
    expect([busy.status, busy.body.title]).toEqual([503, 'The records are busy just now.']);
    expect(seconds).toBeLessThan(30);
    await service.request.put(`/api/models/${balloon.id}`).send(balloon).expect(201);
  });
});

describe('a target kept twice at once', () => {
  it('is one target, and different ones are revisions of their own', async () => {
    const balloon = model();
    await service.request.post('/api/models').send(balloon).expect(201);
    const [tier] = (await service.request.get('/api/tiers')).body as [TierRecord];
    const target = (more: object = {}) => ({
      ...{ id: randomUUID(), modelId: balloon.id, tierId: tier.id, tierName: tier.name, widthMm: 254 },
      ...{ toleranceMm: 6.35, dose: 5, origin: 'measured', daysStanding: 1, acceptedAt: '2026-11-20T12:00:00.000Z' },
      ...more,
    });
    const keep = async (body: object) => {
      const answer = await onceFree(() => service.request.post('/api/targets').send(body));
      expect([200, 201]).toContain(answer.status);
      return promised<AcceptedTarget>('acceptTarget', answer.body);
    };
    const twice = await Promise.all([target(), target(), target()].map(keep));
    expect(new Set(twice.map(({ id }) => id)).size).toBe(1);
    const widths = [240, 241, 242, 243, 244];
    await Promise.all(widths.map((widthMm) => keep(target({ widthMm }))));
    const detail = promised<ModelDetail>('readModel', (await service.request.get(`/api/models/${balloon.id}`)).body);
    expect(detail.targets.map(({ revision }) => revision).sort()).toEqual([1, 2, 3, 4, 5, 6]);
    expect(new Set(detail.targets.map(({ widthMm }) => widthMm))).toEqual(new Set([254, ...widths]));
  });
});
