import { coverageOf, grownStudios, newcomer, WORLDS, type Studio } from '../core/test/simulatedStudios';

/**
 * The tables of coverage in docs/method/prediction.md, as Markdown: of each world the share of bands of the mean, of
 * the next balloon, and of target doses called measured that hold, in per cent. `npm run coverage [-- RUNS [NAME]]`; a
 * thousand runs of all worlds take a quarter of an hour, NAME is a part of the name of those wanted.
 */
const RUNS = Number(process.argv[2] ?? 1000);
const wanted = WORLDS.filter(([name]) => name.includes(process.argv[3] ?? ''));
/** Of so few target doses that are called measured the share within says nothing. */
const FEW = 0.05;
const COUNTS = [2, 4, 8, 'proposed'] as const;
const KINDS: [string, (world: (typeof WORLDS)[number][1]) => Studio][] = [
  ['a studio with five balloons calibrated', grownStudios],
  ['a newcomer', newcomer],
];

const say = (text: string) => process.stdout.write(`${text}\n`);
const percent = (share: number) => String(Math.round(100 * share));
/** Bands that hold in so many of a hundred cases, no fewer and no more, are asked for. */
const WANTED = { least: 0.92, most: 0.98 };

for (const [kind, studioOf] of KINDS) {
  say(
    `\n| ${[kind, ...COUNTS.map((count) => (count === 'proposed' ? 'the app’s proposals' : `${count} readings`))].join(' | ')} |`,
  );
  say('| --- | --- | --- | --- | --- |');
  const lowest = { mean: 1, next: 1, within: 1 };
  const highest = { mean: 0, next: 0, within: 0 };
  /** By count: how far the bands of all worlds would have to be narrowed for the steadiest, and may be for the least steady. */
  const factors = COUNTS.map(() => ({ forMost: 1, forLeast: 0 }));
  for (const [name, world] of wanted) {
    const cells = COUNTS.map((count, i) => {
      const found = coverageOf({ studio: studioOf(world), count, runs: RUNS });
      const told = found.known > FEW;
      for (const key of ['mean', 'next', ...(told ? (['within'] as const) : [])] as const) {
        lowest[key] = Math.min(lowest[key], found[key]);
        highest[key] = Math.max(highest[key], found[key]);
      }
      const factor = factors[i]!;
      factor.forMost = Math.min(factor.forMost, found.factorFor(WANTED.most));
      factor.forLeast = Math.max(factor.forLeast, found.factorFor(WANTED.least));
      return `${percent(found.mean)} / ${percent(found.next)} / ${told ? percent(found.within) : '–'}`;
    });
    say(`| ${[name, ...cells].join(' | ')} |`);
  }
  say(`\nlowest ${JSON.stringify(lowest)}\nhighest ${JSON.stringify(highest)}`);
  COUNTS.forEach((count, i) => {
    const { forMost, forLeast } = factors[i]!;
    say(
      `${count}: bands of the mean times ${forMost.toFixed(2)} hold 98 % at most, times ${forLeast.toFixed(2)} 92 % at least`,
    );
  });
}
