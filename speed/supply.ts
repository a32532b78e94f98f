import { readFileSync } from 'node:fs';
import path from 'node:path';

import { needsOf, recipeOf, workOf, type PieceWork } from '@leggero/core/recipe';
import {
  bagsFor,
  costOf,
  hoursFor,
  lossLaw,
  promisedTo,
  sparesFor,
  stockOf,
  type StockEntry,
} from '@leggero/core/supply';
import { PDFDocument } from 'pdf-lib';

import { drawPaper } from '../app/src/parts/paper/drawPaper';
import type { Paper } from '../app/src/parts/paper/paper';
import type { Bench } from './bench';
import { median, timedAsync, timesOf } from './figure';
import { ROOT } from './size';

const PIECES = 12;
const SIZES = 8;
const BALLOONS = 2000;
const MODELS = 20;
const inch = (inches: number) => inches * 25.4;

/** Twelve pieces of two thousand balloons: eight sizes each, of twenty balloons, tied as duplets. */
const WORKS: PieceWork[] = Array.from({ length: PIECES }, (_, piece) => {
  const sizes = Array.from({ length: SIZES }, (__, i) => ({
    ...{ key: `${i}`, balloon: `balloon ${(3 * piece + i) % MODELS}`, toleranceMm: 6 },
    ...{ fillMm: inch(4 + (piece % 4) / 2 + i / 4), count: Math.ceil(BALLOONS / PIECES / SIZES) },
  }));
  return {
    ...{ piece: `${piece}`, copies: 1, sizes, knots: 80, clusters: 40, length: null },
    bundles: sizes.map(({ key }, i) => ({ sizes: [key, sizes[(i + 1) % SIZES]!.key], count: 8 })),
    takes: [{ kind: 'line', count: 1, lengthMm: 3000, kg: null, balloon: null }],
  };
});
/** Two hundred lines of each balloon's stock. */
const LEDGER: StockEntry[] = Array.from({ length: 200 }, (_, i) => ({
  ...{ change: i % 5 === 0 ? 'bought' : 'out', count: 10 + i, atMs: i },
}));

/** Recipe, list, hours and cost of an event, and spares of one balloon. */
export function measureSupply({ report, rounds }: Bench): void {
  const event = () => {
    const recipe = recipeOf({ pieces: WORKS, lookOf: (name) => ({ colour: name.slice(-1), name }) });
    const goods = needsOf(WORKS, () => null).map(({ balloon, count }) => {
      const spares = sparesFor({
        needed: count,
        confidence: 0.95,
        prior: lossLaw({ own: { build: { used: 90, lost: 2 } } }),
      });
      if (!spares.ok) throw new Error('no spares');
      const { there } = stockOf(LEDGER);
      const { lacks } = promisedTo({ there, demands: [{ event: 'one', opensAtMs: 0, count }], event: 'one' });
      bagsFor({ lacks, of: 50 });
      return { key: balloon, count: spares.value.take, spare: spares.value.spare, eachMinor: 23 };
    });
    const hours = hoursFor({ counts: workOf(WORKS, () => false), sized: true, people: 3, stations: 2 });
    if (!hours.ok) throw new Error('no hours');
    const money = { hourMinor: 2200, travelMinor: 0, hireMinor: 0, extras: [], margin: 0.3 };
    const cost = costOf({ goods, handHours: hours.value.handHours, ...money });
    if (!cost.ok || recipe.balloons < BALLOONS) throw new Error('another event');
  };
  report({
    what: 'recipe, list, hours and cost of 2,000 balloons in twelve pieces',
    ours: median(timesOf(event, rounds(50))),
    yardstick: 'the time it may take',
    theirs: 20,
    unit: 'ms',
    most: 1,
  });
  const spares = () => {
    if (!sparesFor({ needed: 60, confidence: 0.95 }).ok) throw new Error('no spares');
  };
  report({
    what: 'spares for 60 balloons',
    ours: median(timesOf(spares, rounds(200))),
    yardstick: 'the time it may take',
    theirs: 5,
    unit: 'ms',
    most: 1,
  });
}

const PAGES = 20;
const A_PAGE = 16;
/** Beside three times the empty pages, ms. */
const MORE_MS = 300;

/** A sheet of twenty pages as PDF, against as many empty ones by the same library. */
export async function measurePaper({ report, rounds }: Bench): Promise<void> {
  const font = (name: string) => {
    const bytes = readFileSync(path.join(ROOT, 'node_modules/@expo-google-fonts', `${name}.ttf`));
    return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength) as ArrayBuffer;
  };
  const fonts = {
    title: font('bricolage-grotesque/700Bold/BricolageGrotesque_700Bold'),
    text: font('hanken-grotesk/400Regular/HankenGrotesk_400Regular'),
  };
  const paper: Paper = {
    ...{ title: 'Spring tide: bench', subtitle: 'Sat, Dec 5' },
    blocks: [
      {
        kind: 'rows',
        rows: Array.from({ length: PAGES * A_PAGE }, (_, i) => ({
          ...{ key: `${i}`, dots: [{ widthMm: 240, hex: '#3f7a4a' }], mark: `A${i}`, title: `9½ in · Balloon ${i}` },
          ...{ notes: ['Hole 10, ½ gap · 7 strokes · tape 29⅞ in', 'Bag 3 · Kelp columns 60'], figure: `× ${i}` },
        })),
      },
    ],
  };
  const ours: number[] = [];
  const theirs: number[] = [];
  for (let i = 0; i < rounds(5); i += 1) {
    let pages = 0;
    ours.push(
      await timedAsync(async () => {
        const bytes = await drawPaper({ paper, on: { name: 'bench', head: 'Saltmarsh', paper: 'a4', fonts } });
        pages = (await PDFDocument.load(bytes)).getPageCount();
      }),
    );
    if (pages < PAGES) throw new Error(`${pages} pages`);
    theirs.push(
      await timedAsync(async () => {
        const empty = await PDFDocument.create();
        for (let page = 0; page < pages; page += 1) empty.addPage();
        await PDFDocument.load(await empty.save());
      }),
    );
  }
  report({
    what: 'a sheet of twenty pages as PDF',
    ours: median(ours),
    yardstick: 'three times as many empty pages by the same library, and 300 ms',
    theirs: 3 * median(theirs) + MORE_MS,
    unit: 'ms',
    most: 1,
  });
}
