import { EVERYTHING_PATH, KEPT_NOUNS, NOUN_NAMES, NOUNS } from '@leggero/contract';
import { everythingSchema, type Everything } from '@leggero/contract/everything';
import { sql } from 'drizzle-orm';

import { changesSince } from '../src/records/feed';
import { calibration, demoForTests, eyeCheck, model, pump, strangerOf } from './service';

const service = demoForTests();
const asked = async (request = service.request) => (await request.get(EVERYTHING_PATH).expect(200)).body as Everything;

describe('everything as one file', () => {
  it('has every row of every noun that devices keep, word for word, and says as of when', async () => {
    const { headers } = await service.request.get(EVERYTHING_PATH).expect(200);
    expect([headers['content-type'], headers['content-disposition']]).toEqual([
      'application/json; charset=utf-8',
      'attachment; filename="leggero-everything.json"',
    ]);
    const file = await asked();
    expect(everythingSchema.parse(file)).toEqual(file);
    expect(Object.keys(file.rows)).toEqual(KEPT_NOUNS);
    const kept: Record<string, unknown[]> = {};
    let revision = 0;
    for (let since = '', more = true; more;) {
      const page = await changesSince(service, { since, page: 200 });
      for (const [noun, rows] of Object.entries(page.rows)) kept[noun] = [...(kept[noun] ?? []), ...rows];
      ({ cursor: since, more, revision } = page);
    }
    expect(file.rows.reading!.length).toBeGreaterThan(50);
    for (const noun of KEPT_NOUNS) expect([noun, file.rows[noun]]).toEqual([noun, kept[noun] ?? []]);
    expect(file.revision).toBe(revision);
    expect(Math.abs(Date.now() - Date.parse(file.madeAt))).toBeLessThan(60_000);
  });

  it('has nothing private, and nothing of another studio', async () => {
    const { rows } = await asked();
    const [person] = rows.person!;
    const check = eyeCheck(person!.id, rows.model![0]!.id);
    const [cookie] = (await service.request.post('/api/session').send({ personId: person!.id }).expect(200)).get(
      'Set-Cookie',
    )!;
    await service.request.put(`/api/eye-checks/${check.id}`).set('Cookie', cookie!).send(check).expect(201);
    const text = (await service.request.get(EVERYTHING_PATH).expect(200)).text;
    for (const noun of NOUN_NAMES.filter((name) => NOUNS[name].replica === 'never')) {
      expect(text).not.toContain(`"${noun}":[`);
    }
    expect(text).not.toContain(check.id);
    expect(text).not.toMatch(/pinHash|pin_hash/);
    const other = await asked(await strangerOf(service));
    expect(Object.entries(other.rows).filter(([noun, all]) => noun !== 'studio' && all.length > 0)).toEqual([]);
    expect(other.rows.studio!.map(({ name }) => name)).toEqual(['Next door']);
  });

  it('of more rows than are read at once has each of them once', async () => {
    const [balloon, inflator] = [model(), pump()];
    await service.request.put(`/api/models/${balloon.id}`).send(balloon).expect(201);
    await service.request.put(`/api/pumps/${inflator.id}`).send(inflator).expect(201);
    const held = calibration(balloon.id, inflator.id);
    await service.request.put(`/api/calibrations/${held.id}`).send(held).expect(201);
    await service.database.execute(
      sql`insert into readings (id, studio_id, calibration_id, dose, width_mm, outcome, taken_at)
        select uuid(), ${service.studioId}, ${held.id}, seq / 1000, 200, 'ok', '2026-11-20 10:00:00' from seq_1_to_2100`,
    );
    const all = (await asked()).rows.reading!;
    expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
    const doses = all
      .filter(({ calibrationId }) => calibrationId === held.id)
      .map(({ dose }) => Math.round(dose * 1000));
    expect(new Set(doses)).toEqual(new Set(Array.from({ length: 2100 }, (_, i) => i + 1)));
  });
});
