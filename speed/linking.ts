import type { PieceRecord } from '@leggero/contract';
import {
  basket,
  closingOf,
  formAsMade,
  formAtRest,
  formOf,
  simulateClosing,
  spheresOf,
  swag,
} from '@leggero/core/linking';
import type { Page } from 'puppeteer-core';
import { bisect } from 'simple-statistics';

import { DESKTOP, type Bench } from './bench';
import { median, timesOf } from './figure';
import { longTasks, redrawsOf, tap, watchLongTasks } from './page';

const ROUNDS = 15;
const SWAGS = 2000;
const inch = (inches: number) => inches * 25.4;

/** All snappings at an eighth of an inch of a basket of seven layers: its spokes as asked, six rings of five sizes each. */
export function measureSnapping({ report, rounds }: Bench): void {
  const search = () => {
    const made = basket({ spokes: 8, baseMm: inch(5.6), rings: 6, stepMm: inch(1 / 8), jointMm: 5 });
    if (!made.ok || made.value.snapped.compared !== 5 ** 6) throw new Error('not all snappings were compared');
  };
  report({
    what: 'a basket of seven layers, all 15,625 snappings at ⅛ in',
    ours: median(timesOf(search, rounds(ROUNDS))),
    yardstick: 'the time it may take',
    theirs: 50,
    unit: 'ms',
    most: 1,
  });
}

/** A basket as it comes to rest, and with one balloon off its size: a page works both out while it is held. */
export function measureRest({ report, rounds }: Bench): void {
  for (const [what, spokes, rings] of [
    ['a basket of thirty balloons', 6, 2],
    ['a basket of 78 balloons', 6, 6],
  ] as const) {
    let times = 0;
    // Each a little larger: what is known of one is not asked again.
    const fresh = () => {
      const form = formOf({
        kind: 'basket',
        count: spokes,
        rings,
        baseMm: 127 + 0.01 * times++,
        leanDeg: 3,
        jointMm: 5,
      });
      if (!form.ok) throw new Error('the basket was refused');
      return form.value;
    };
    report({
      what: `${what}, come to rest`,
      ours: median(timesOf(() => formAtRest(fresh()), rounds(ROUNDS))),
      yardstick: 'what a page may be held up for',
      theirs: 50,
      ...{ unit: 'ms', most: 1 },
    });
    const form = fresh();
    const widthsMm = spheresOf(form).map(({ widthMm }, i) => (i === 2 * spokes ? widthMm + inch(0.25) : widthMm));
    formAtRest(form);
    report({
      what: `${what}, one of them off its size`,
      ours: median(timesOf(() => formAsMade(form, widthsMm), rounds(ROUNDS))),
      yardstick: 'what a page may be held up for',
      theirs: 50,
      ...{ unit: 'ms', most: 1 },
    });
  }
}

/** Swags from span and drop, against the same equation given to a general root finder. */
export function measureSwags({ report, rounds }: Bench): void {
  const asked = Array.from({ length: SWAGS }, (_, i) => ({ spanMm: 1000 + i, dropMm: 50 + (i % 900) }));
  const ours = timesOf(() => {
    for (const each of asked) if (!swag(each).ok) throw new Error('a swag was refused');
  }, rounds(ROUNDS));
  const theirs = timesOf(() => {
    for (const { spanMm, dropMm } of asked)
      bisect((a) => 2 * a * Math.acosh(1 + dropMm / a) - spanMm, 1, 1e7, 200, 1e-6);
  }, rounds(ROUNDS));
  report({
    what: `${SWAGS} swags from span and drop`,
    ours: median(ours),
    yardstick: 'bisect of simple-statistics on the same equation, to a millionth of a millimetre',
    theirs: median(theirs),
    unit: 'ms',
    most: 2,
  });
}

/**
 * Ten thousand baskets of thirty balloons, built to find the spread that closes. The worker runs this very function.
 */
export function measureBuilds({ report, rounds }: Bench): void {
  const made = basket({ spokes: 6, baseMm: inch(5), rings: 2, stepMm: inch(1 / 8), jointMm: 5 });
  if (!made.ok) throw new Error('the basket was refused');
  const closing = closingOf(made.value.snapped);
  const times = timesOf(() => {
    if (simulateClosing({ closing }).runs !== 10_000) throw new Error('not all were built');
  }, rounds(ROUNDS));
  report({
    what: '10,000 simulated baskets',
    ours: median(times),
    yardstick: 'the time they may take',
    theirs: 2000,
    unit: 'ms',
    most: 1,
  });
}

const CURTAIN = '[aria-label^="A curtain of"]';

/**
 * A curtain of 2,000 balloons: from a figure changed to the picture laid out anew, and the longest task while its hem
 * is dragged.
 */
export async function measureCurtain(bench: Bench): Promise<void> {
  const { url } = await bench.freshWorld();
  const pieces = (await (await fetch(`${url}/api/pieces`)).json()) as PieceRecord[];
  const { id, design } = pieces.find((piece) => piece.design.form === 'curtain')!;
  const large = {
    ...design,
    acrossMm: bench.smoke ? 3000 : 18_000,
    everyMm: 140,
    topMm: 2700,
    hemMm: 700,
    topLine: 'arched',
    bowMm: 200,
    ceilingMm: 3200,
  };
  await fetch(`${url}/api/pieces/${id}`, {
    method: 'PATCH',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ design: large }),
  });
  const page = await bench.open(`${url}/builds/${id}`, DESKTOP);
  await page.waitForSelector(CURTAIN);
  await watchLongTasks(page);
  await longTasks(page);
  const draws = await redrawsOf(page, {
    on: 'click',
    drawing: CURTAIN,
    rounds: bench.rounds(ROUNDS),
    pauseMs: 700,
    act: (round) => tap(page, 'radio', round % 2 === 0 ? 'Swagged' : 'Arched'),
  });
  const line = { yardstick: 'the time it may take', unit: 'ms', most: 1 };
  bench.report({
    what: `a curtain of 2,000 balloons drawn anew (median of ${draws.length})`,
    ours: median(draws),
    theirs: 200,
    ...line,
  });
  await longTasks(page);
  const since = await page.evaluate(() => performance.now());
  await dragHem(page);
  bench.report({
    what: 'longest task of the page while its hem is dragged (0: none over 50 ms)',
    ours: await longTasks(page, since),
    theirs: 50,
    ...line,
  });
}

async function dragHem(page: Page): Promise<void> {
  // Of all dashed lines the hem is drawn last.
  const at = await page.$$eval(`${CURTAIN} line[stroke-dasharray]`, (lines) => {
    const { left, top, width } = lines.at(-1)!.getBoundingClientRect();
    return { x: left + width / 2, y: top };
  });
  await page.mouse.move(at.x, at.y);
  await page.mouse.down();
  for (let i = 1; i <= 40; i += 1) {
    await page.mouse.move(at.x, at.y - 12 * Math.sin(i / 5));
    await new Promise((resolve) => setTimeout(resolve, 30));
  }
  await page.mouse.up();
}
