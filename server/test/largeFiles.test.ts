import { randomUUID } from 'node:crypto';

import type { ImportReport } from '@leggero/contract/readingFile';
import { sql } from 'drizzle-orm';

import { calibration, linesOfImport, model, pump, reading, serviceForTests } from './service';

const service = serviceForTests();
const HEADER = 'line,nominal (in),dose (strokes),width (in)\n';

async function looked(file: string | Buffer, encoding?: string): Promise<ImportReport> {
  const address = `/api/readings.csv/look${encoding === undefined ? '' : `?encoding=${encoding}`}` as const;
  const last = (await linesOfImport(service.request, address, file)).at(-1)!;
  if (!('report' in last)) throw new Error(JSON.stringify(last));
  return last.report;
}

/** The longest that another request had to wait while some work went on, ms. */
async function longestWaitDuring(work: Promise<unknown>): Promise<number> {
  let longest = 0;
  let going = true;
  void work.finally(() => (going = false)).catch(() => undefined);
  while (going) {
    const start = performance.now();
    await service.request.get('/api/studio').expect(200);
    longest = Math.max(longest, performance.now() - start);
  }
  await work;
  return longest;
}

describe('a file that is large, or none', () => {
  it.each([
    ['nothing but line ends', Buffer.alloc(3_000_000, '\n'), 'empty'],
    ['39 MB of line ends after a header', Buffer.concat([Buffer.from(HEADER), Buffer.alloc(38_000_000, '\n')]), 'More'],
    ['nothing but commas', Buffer.alloc(3_000_000, ','), 'More than 100 cells'],
    ['one endless cell', Buffer.from(`${HEADER}${'a'.repeat(3_000_000)}`), 'more than 1000 characters'],
    ['a quote that never ends', Buffer.from(`${HEADER}"${'a,b\n'.repeat(800_000)}`), 'More than'],
    [
      'a picture',
      Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0xff, 0xd8]),
      'another way than the usual one',
    ],
  ])('such as %s is refused in words, and others hardly wait', async (_, file, reason) => {
    const report = looked(file);
    // Whoever reads such a file in the service itself stops everyone else for most of a minute.
    expect(await longestWaitDuring(report)).toBeLessThan(5000);
    const { problems, problemCount, added } = await report;
    expect([problemCount > 0, added, problems[0]!.reason]).toEqual([true, 0, expect.stringContaining(reason)]);
  });

  it('in UTF-16 with its mark, as a spreadsheet saves “Unicode text”, is read', async () => {
    const text = `\uFEFF${HEADER.replaceAll(',', '\t')}Tärn Satin\t11\t4\t8\n`;
    const little = Buffer.from(text, 'utf16le');
    expect(await looked(little)).toMatchObject({
      added: 1,
      problemCount: 0,
      newModels: [expect.stringMatching('tärn')],
    });
    expect(await looked(Buffer.from(little).swap16())).toMatchObject({ added: 1, problemCount: 0 });
  });

  it('in another encoding is asked about, and read as what it is said to be', async () => {
    const written = Buffer.from(`${HEADER}T\u00e4rn,11,4,8\n`, 'latin1');
    expect(await looked(written)).toMatchObject({ added: 0, problemCount: 1, askEncoding: true });
    const told = await looked(written, 'windows-1252');
    expect(told).toMatchObject({ added: 1, problemCount: 0, askEncoding: false, sample: [{ model: 'T\u00e4rn 11' }] });
    expect(await looked(written, 'macintosh')).toMatchObject({ sample: [{ model: 'T\u2030rn 11' }] });
    await service.request
      .post('/api/readings.csv/look?encoding=none')
      .set('Content-Type', 'text/csv')
      .send('a')
      .expect(400);
  });

  it('goes out piece by piece, in order, whole', async () => {
    const [a, b] = [model(), pump()];
    await service.request.post('/api/models').send(a).expect(201);
    await service.request.post('/api/pumps').send(b).expect(201);
    const c = calibration(a.id, b.id);
    await service.request.post('/api/calibrations').send(c).expect(201);
    const first = reading(c.id, { dose: 1 });
    await service.request.post('/api/readings').send(first).expect(201);
    const more = Array.from({ length: 1999 }, (_, i) => [randomUUID(), i]);
    for (const [id, i] of more) {
      await service.database.execute(
        sql`insert into readings (id, studio_id, calibration_id, dose, width_mm, way, outcome, taken_at)
            select ${id}, studio_id, calibration_id, ${1 + Number(i) / 1000}, width_mm, way, outcome, taken_at
            from readings where id = ${first.id}`,
      );
    }
    const { text } = await service.request.get('/api/readings.csv').expect(200);
    const lines = text.trimEnd().split('\r\n');
    expect(lines).toHaveLength(2001);
    expect(new Set(lines).size).toBe(2001);
    expect(lines[0]).toMatch(/^line,kind,nominal \(mm\)/);
    expect(await looked(text)).toMatchObject({ lines: 2000, known: 2000, added: 0 });
  });
});
