import { randomUUID } from 'node:crypto';

import { NOUN_NAMES, NOUNS, type NounName } from '@leggero/contract';
import type { Deed, Deeds } from '@leggero/contract/deed';
import { randomFrom } from '@leggero/core';
import { eq } from 'drizzle-orm';

import { people } from '../src/db/tables';
import { allRows } from './allRows';
import { codeFor, joinedBy, membersOf, ownerOf, type Browser } from './crew';
import { sample, sampleId } from './samples';
import { linesOfImport, promised, serviceForTests } from './service';

const service = serviceForTests();
const rows = () => allRows(service.database, ['changes', 'deeds', 'carried_out', 'accounts', 'credentials', 'members']);
const asker = { current: null as Browser | null };
const ask = () => asker.current ?? service.request;

async function deeds(query = ''): Promise<Deed[]> {
  const { body } = await ask().get(`/api/deeds${query}`).expect(200);
  return promised<Deeds>('listDeeds', body).deeds;
}
const undo = (id: string) => ask().post(`/api/deeds/${id}/undo`);
/** Takes back what was done last; answers what the deed then says. */
async function undoLast(): Promise<Deed> {
  const [last] = await deeds();
  return promised<Deed>('undoDeed', (await undo(last!.id).expect(200)).body);
}
const at = (noun: NounName, index = 0) => `/api/${NOUNS[noun].path}/${sampleId(noun, index)}`;
const put = (noun: NounName, index = 0) => ask().put(at(noun, index)).send(sample(noun, index));
const isPrivate = (noun: NounName) => NOUNS[noun].replica === 'never';
const OTHERS = NOUN_NAMES.filter((noun) => noun !== 'studio');

describe('what was done', () => {
  it('is told: what, to which row, the newest first', async () => {
    await put('pump').expect(201);
    await ask().patch(at('pump')).send({ name: 'Blue' }).expect(200);
    await ask().patch(at('pump')).send({ name: 'Blue' }).expect(200);
    await ask().delete(at('pump')).expect(204);
    await ask().delete(at('pump')).expect(204);
    const [gone, changed, made, ...older] = await deeds();
    expect(older).toEqual([]);
    const [id, noun] = [sampleId('pump'), 'pump'];
    expect(made).toMatchObject({
      by: null,
      count: 1,
      canUndo: true,
      rows: [{ noun, id, was: null, is: { name: 'Pump 0' } }],
    });
    expect(changed!.rows).toEqual([{ noun, id, was: { name: 'Pump 0' }, is: { name: 'Blue' } }]);
    expect(gone!.rows).toEqual([
      { noun, id, was: expect.objectContaining({ name: 'Blue', doseVolumeL: 0.25 }), is: null },
    ]);
    expect(Math.abs(Date.parse(gone!.at) - Date.now())).toBeLessThan(60_000);
  });

  it('is taken back deed by deed, and that again', async () => {
    const before = await rows();
    const [gone, changed, made] = await deeds();
    const back = promised<Deed>('undoDeed', (await undo(gone!.id).expect(200)).body);
    expect(back).toMatchObject({ id: gone!.id, canUndo: false, undoneBy: expect.any(String) });
    expect((await ask().get('/api/pumps').expect(200)).body).toContainEqual(expect.objectContaining({ name: 'Blue' }));
    await undo(gone!.id).expect(409);
    await undo(changed!.id).expect(200);
    await undo(made!.id).expect(200);
    expect((await rows())['pumps']).toEqual(before['pumps']);
    // Taking back is a deed too.
    for (const { id } of [made!, changed!]) {
      const back = (await deeds()).find(({ undoes }) => undoes === id)!;
      expect((await undo(back.id).expect(200)).body).toMatchObject({ undoes: id, canUndo: false });
    }
    expect((await deeds()).find(({ id }) => id === changed!.id)).toMatchObject({ undoneBy: null, canUndo: true });
    await ask().delete(at('pump')).expect(204);
  });

  it('of every noun comes back as it was, with all that went with it', async () => {
    for (const noun of OTHERS) await put(noun).expect(201);
    const whole = await rows();
    for (const noun of [...OTHERS].reverse()) {
      // Someone who goes does not come back: what is private to them went for good.
      if (isPrivate(noun) || noun === 'person') continue;
      const { status } = await ask().delete(at(noun));
      // What others rest on is held back.
      if (status === 409) continue;
      expect([noun, status]).toEqual([noun, 204]);
      await undoLast();
      const now = await rows();
      for (const table of Object.keys(whole)) expect([noun, table, now[table]]).toEqual([noun, table, whole[table]]);
    }
  });

  it('is undone whole, from the last to the first, whatever it was', async () => {
    const start = await rows();
    const first = (await deeds())[0]!.id;
    const random = randomFrom(31);
    const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
    for (let i = 0; i < 200; i += 1) {
      const noun = pick(OTHERS.filter((each) => !isPrivate(each) && each !== 'person'));
      const index = Math.floor(random() * 2);
      const sort = random();
      if (sort < 0.45) await put(noun, index);
      else if (sort < 0.75) {
        const { id: _, ...other } = sample(noun, 1 - index) as { id: string } & Record<string, unknown>;
        const by = Object.fromEntries(
          NOUNS[noun].change.flatMap((field) => (field in other ? [[field, other[field]]] : [])),
        );
        await ask().patch(at(noun, index)).send(by);
      } else await ask().delete(at(noun, index));
    }
    const done: string[] = [];
    for (let before: number | null | undefined; before !== null;) {
      const { body } = await ask()
        .get(`/api/deeds${before ? `?before=${before}` : ''}`)
        .expect(200);
      const page = promised<Deeds>('listDeeds', body);
      const ids = page.deeds.map(({ id }) => id);
      const end = ids.indexOf(first);
      done.push(...(end < 0 ? ids : ids.slice(0, end)));
      before = end < 0 ? page.more : null;
    }
    expect(done.length).toBeGreaterThan(25);
    for (const id of done) expect([id, (await undo(id)).body]).toEqual([id, expect.objectContaining({ id })]);
    const now = await rows();
    for (const table of Object.keys(start)) expect([table, now[table]]).toEqual([table, start[table]]);
  });
});

describe('taking back', () => {
  it('is refused where something stands in the way, and then changes nothing', async () => {
    const balloon = { ...sample('model', 5), id: randomUUID() };
    await ask().put(`/api/models/${balloon.id}`).send(balloon).expect(201);
    const made = (await deeds())[0]!;
    const address = `/api/models/${balloon.id}`;
    await ask().patch(address).send({ colourName: 'roe' }).expect(200);
    const changed = (await deeds())[0]!;
    await ask().patch(address).send({ colourName: 'tide' }).expect(200);
    for (const { id } of [made, changed]) {
      expect((await undo(id).expect(409)).body.title).toBe('It was changed since: take that back first.');
    }
    await undoLast();
    await undo(changed.id).expect(200);
    const note = { ...sample('note', 5), id: randomUUID(), modelId: balloon.id };
    await ask().put(`/api/notes/${note.id}`).send(note).expect(201);
    const noted = (await deeds())[0]!;
    expect((await undo(made.id).expect(409)).body.title).toBe(
      'Other records hang on it by now: take those away first.',
    );
    const before = await rows();
    // A note that went by itself does not come back to a balloon that is gone.
    await ask().delete(`/api/notes/${note.id}`).expect(204);
    const unnoted = (await deeds())[0]!;
    await ask().delete(address).expect(204);
    expect((await undo(unnoted.id).expect(409)).body.title).toBe('What it hung on is gone by now.');
    await undoLast();
    await undo(unnoted.id).expect(200);
    expect(await rows()).toEqual(before);
    expect((await undo(noted.id)).status).toBe(200);
    await undo(randomUUID()).expect(404);
  });

  it('takes back several writes of one command together, and holes that traded places', async () => {
    const [one, two] = [
      { ...sample('pump', 8), id: randomUUID() },
      { ...sample('ownStep', 8), id: randomUUID() },
    ];
    const writes = [
      { put: 'pump', row: one },
      { put: 'ownStep', row: two },
      { change: 'pump', id: one.id, by: { name: 'Renamed at once' } },
    ];
    const before = await rows();
    const answered = await ask()
      .post('/api/batch')
      .send({ commands: [{ key: randomUUID(), writes }] })
      .expect(200);
    expect(answered.body.answers).toEqual([expect.objectContaining({ problem: null })]);
    const [deed] = await deeds();
    expect(deed!.rows.map(({ noun, was, is }) => [noun, was, is?.['name']])).toEqual([
      ['pump', null, 'Renamed at once'],
      ['ownStep', null, undefined],
    ]);
    await undoLast();
    expect(await rows()).toEqual(before);
    const holes = [100, 120].map((widthMm) => ({ id: randomUUID(), label: String(widthMm), widthMm }));
    const sizer = { id: randomUUID(), name: 'Trade', holes };
    await ask().post('/api/sizers').send(sizer).expect(201);
    const traded = holes.map((hole, index) => ({ ...hole, widthMm: holes[1 - index]!.widthMm }));
    const was = await rows();
    await ask().patch(`/api/sizers/${sizer.id}`).send({ holes: traded }).expect(200);
    expect((await deeds())[0]!.rows.map(({ is }) => is)).toEqual([{ widthMm: 120 }, { widthMm: 100 }]);
    await undoLast();
    expect(await rows()).toEqual(was);
  });

  it('cannot take back an import that is very large, and says so', async () => {
    const lines = ['line,nominal (in),dose (strokes),width (in)'];
    for (let i = 0; i < 10_001; i += 1)
      lines.push(`Bulk,11,${(1 + i / 20_000).toFixed(5)},${(5 + i / 10_000).toFixed(4)}`);
    await linesOfImport(service.request, '/api/readings.csv', lines.join('\n'));
    const [deed] = await deeds();
    expect(deed).toMatchObject({ canUndo: false });
    expect(deed!.count).toBeGreaterThan(10_000);
    expect(deed!.rows).toHaveLength(12);
    expect((await undo(deed!.id).expect(409)).body.title).toBe('This cannot be taken back from here.');
  });
});

describe('who did it', () => {
  it('is told by name, also what was done to who works here; private pages are told to nobody', async () => {
    const owner = await ownerOf(service.app);
    const maker = await joinedBy(service.app, await codeFor(owner, { role: 'maker' }), 'Isolde');
    asker.current = owner;
    const tick = { ...sample('ownStep', 9), id: randomUUID() };
    await maker.put(`/api/own-steps/${tick.id}`).send(tick).expect(201);
    const [done, joined, invited, owned] = await deeds();
    expect([done!.by?.name, done!.rows[0]!.noun]).toEqual(['Isolde', 'ownStep']);
    expect([joined!.by?.name, joined!.rows]).toEqual([
      'Isolde',
      [expect.objectContaining({ noun: 'member', was: null })],
    ]);
    expect(joined!.rows[0]!.is).toMatchObject({ name: 'Isolde', role: 'maker' });
    expect([invited!.by?.name, invited!.rows[0]!.noun, invited!.canUndo]).toEqual(['Wren', 'invitation', false]);
    expect(owned!.by?.name).toBe('Wren');
    expect(JSON.stringify(invited)).not.toMatch(/[0-9a-f]{64}/);
    const isolde = (await membersOf(owner)).find(({ name }) => name === 'Isolde')!;
    await owner.patch(`/api/members/${isolde.id}`).send({ role: 'planner', eventId: null, until: null }).expect(200);
    expect((await deeds())[0]!.rows).toContainEqual({
      noun: 'member',
      id: isolde.id,
      was: { role: 'maker' },
      is: { role: 'planner' },
    });
    expect((await deeds(`?by=${done!.by!.id}`)).map(({ id }) => id)).toEqual([done!.id, joined!.id]);
    await owner.get('/api/deeds?by=x').expect(400);
    await owner.delete(`/api/members/${isolde.id}`).expect(204);
    expect((await deeds())[0]!.rows[0]).toMatchObject({ noun: 'member', was: { name: 'Isolde' }, is: null });
    await maker.get('/api/deeds').expect(403);
    // What is a person's own.
    const [person] = await service.database.select().from(people).where(eq(people.owner, true));
    const before = (await deeds())[0]!.id;
    const check = { ...sample('eyeCheck', 9), id: randomUUID(), personId: person!.id };
    await owner.put(`/api/eye-checks/${check.id}`).send(check).expect(201);
    expect((await deeds())[0]!.id).toBe(before);
    expect(JSON.stringify(await deeds())).not.toContain(check.id);
  });

  it('takes back no more than they may write', async () => {
    const owner = asker.current!;
    const planner = await joinedBy(service.app, await codeFor(owner, { role: 'planner' }), 'Tove');
    await owner.patch('/api/studio').send({ name: 'Brine Street' }).expect(200);
    const [renamed] = await deeds();
    await planner.post(`/api/deeds/${renamed!.id}/undo`).expect(403);
    await undo(renamed!.id).expect(200);
  });
});
