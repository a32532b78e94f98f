import { randomUUID } from 'node:crypto';

import { batchAnswerSchema, type Write } from '@leggero/contract';
import { tradeWith } from '@leggero/core';

import { listRows } from '../src/records/store';
import { serviceForTests } from './service';

const service = serviceForTests();

/** What the server says to some writes as one command: nothing, or the field and the words of its refusal. */
async function write(...writes: Write[]): Promise<string | null> {
  const body = { commands: [{ key: randomUUID(), writes }] };
  const response = await service.request.post('/api/batch').send(body).expect(200);
  const { problem } = batchAnswerSchema.parse(response.body).answers[0]!;
  const [field] = problem?.fields ?? [];
  return problem && `${problem.status} ${field?.path} ${field?.message}`;
}

const put = (key: string, value: number, id: string = randomUUID()): Write => ({
  put: 'constant',
  row: { id, key, value },
});
const trade = async () => tradeWith(await listRows(service, 'constant'));

describe('the numbers of the trade that a studio has otherwise', () => {
  const [tape, again, oval, answer] = Array.from({ length: 4 }, () => randomUUID());

  it('are kept as they are given, the last of two devices counts, and without them the table does', async () => {
    expect(await write(put('measureSdMm.tape', 2.25, tape))).toBeNull();
    expect(await write(put('measureSdMm.tape', 2.5, again))).toBeNull();
    const rows = await listRows(service, 'constant');
    expect(rows.map(({ value, revision }) => [value, revision])).toEqual([
      [2.25, 1],
      [2.5, 2],
    ]);
    expect((await trade()).measureSdMm.tape).toBe(2.5);
    expect(await write({ remove: 'constant', id: again! }, { remove: 'constant', id: tape! })).toBeNull();
    expect((await trade()).measureSdMm.tape).toBe(1.6);
  });

  it('are refused out of what is plausible, by no name, and where they are no numbers', async () => {
    const implausible = 'value This lies outside of what is plausible for it';
    expect(await write(put('roundAspect', 1.6))).toBe(`400 ${implausible}`);
    expect(await write(put('roundAspect', -1))).toBe(`400 ${implausible}`);
    expect(await write(put('roundApsect', 1.06))).toBe('400 key No number of the trade has this name');
    expect(await write(put('', 1))).toMatch(/^400/);
    expect(await write(put('roundAspect', 1e300))).toMatch(/^400/);
    expect(await listRows(service, 'constant')).toEqual([]);
  });

  it('are refused where one contradicts another, also by going', async () => {
    const contradicts = 'This contradicts another number of the trade';
    expect(await write(put('shapeAnswerAspect.oval', 1.2, answer))).toBe(`400 value ${contradicts}`);
    // Both in one command: each stands beside what the one before it made.
    expect(await write(put('ovalAspect', 1.24, oval), put('shapeAnswerAspect.oval', 1.2, answer))).toBeNull();
    expect(await write({ change: 'constant', id: oval!, by: { value: 1.19 } })).toBe(`400 value ${contradicts}`);
    expect(await write({ remove: 'constant', id: oval! })).toMatch(new RegExp(`${contradicts}$`));
    expect(await write({ change: 'constant', id: oval!, by: { value: 1.22 } })).toBeNull();
    expect((await trade()).ovalAspect).toBe(1.22);
    expect(await write({ remove: 'constant', id: answer! }, { remove: 'constant', id: oval! })).toBeNull();
  });
});
