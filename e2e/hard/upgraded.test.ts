import { readFileSync } from 'node:fs';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';

import { stillText } from '../stillText';
import { PHONE } from '../visitor';
import { worldOf } from '../world';

jest.setTimeout(1_200_000);

/** The demo and a file of readings taken in, in the last version before records were rows, and what its pages said. */
const BEFORE = path.join(__dirname, 'beforeRows');
const PAGES = JSON.parse(gunzipSync(readFileSync(path.join(BEFORE, 'pages.json.gz'))).toString()) as Record<
  string,
  string[]
>;

/**
 * Lines that stand elsewhere since: a tab, a field, a count that has its own page, lengths in a picture. Lines that are
 * said otherwise: in other words, or lengths, which are told in the studio's unit since, the long ones in feet.
 */
const SINCE = JSON.parse(readFileSync(path.join(BEFORE, 'saidOtherwise.json'), 'utf8')) as {
  elsewhere: string[];
  otherwise: Record<string, string>;
};
/** A width of a study by itself, mm, and how far a rounded one is off. */
const WIDTH = /^\d{3}\.\d$/;
const ROUNDED_MM = 0.05;

const world = worldOf('demo', { from: path.join(BEFORE, 'records.sql.gz') });

const linesOf = (text: string) => text.split('\n').flatMap((line) => line.trim() || []);

/** Lines that there are fewer of than there were: some are on a page twice. */
function missing(before: readonly string[], now: readonly string[]): string[] {
  const left = [...now];
  return before.filter((line) => {
    const at = left.indexOf(line);
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
}

/** What may be said instead of a line. */
function otherwise(line: string): string[] {
  if (WIDTH.test(line)) return [-ROUNDED_MM, ROUNDED_MM].map((off) => ((Number(line) + off) / 25.4).toFixed(2));
  return [SINCE.otherwise[line] ?? line];
}

it('every page says what it said before its records became rows', async () => {
  const addresses = Object.keys(PAGES);
  expect(addresses.length).toBeGreaterThan(60);
  const visitor = await world.visit('/', PHONE);
  for (const address of addresses) {
    await visitor.goTo(address);
    const now = linesOf(await stillText(visitor));
    const gone = missing(PAGES[address]!, now).filter(
      (line) => !SINCE.elsewhere.includes(line) && !otherwise(line).some((each) => now.includes(each)),
    );
    expect([address, gone]).toEqual([address, []]);
  }
  expect(visitor.complaints).toEqual([]);
});
