import { readFileSync } from 'node:fs';

import type { AxeResults } from 'axe-core';

import type { Viewport, Visitor } from './visitor';
import { viewsOf } from './views';
import type { World } from './world';

const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');
const WCAG = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
/** In the evening the page is the same and only its colours differ. */
const RULES = {
  light: { runOnly: WCAG },
  dark: { runOnly: { type: 'rule', values: ['color-contrast', 'link-in-text-block'] } },
};
type Theme = keyof typeof RULES;

interface Tour {
  world: World;
  viewport: Viewport;
  /** Each view opened by its address afresh, or gone to from the one before. */
  way: 'goTo' | 'follow';
}

/** What is wrong with the page that somebody is on, by day and in the evening: accessibility and width. */
export async function faultsHere(visitor: Visitor): Promise<string[]> {
  const faults: string[] = [];
  // A page that was there before has it already.
  if (!(await visitor.page.evaluate(() => 'axe' in window))) await visitor.page.evaluate(AXE);
  for (const theme of ['light', 'dark'] as const) {
    await visitor.device(theme);
    await visitor.page.waitForFunction(
      (dark) => document.documentElement.classList.contains('dark') === dark,
      {},
      theme === 'dark',
    );
    faults.push(...(await faultsOf(visitor, theme)).map((fault) => `${theme}: ${fault}`));
  }
  const over = await visitor.page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  if (over > 0) faults.push(`${over} px wider than the window`);
  return faults;
}

/** What is wrong with any view in a window of this size: accessibility by day and evening, width, lengths, errors. */
export async function faultsOfViews({ world, viewport, way }: Tour): Promise<string[]> {
  const faults: string[] = [];
  let read = 0;
  const visitor = await world.visit('', viewport);
  // Whatever the page loads next has it from the start.
  await visitor.page.evaluateOnNewDocument(AXE);
  await visitor.goTo('/');
  for (const [name, address] of await viewsOf(world)) {
    await visitor.device('light');
    await visitor[way](address);
    faults.push(...(await faultsHere(visitor)).map((fault) => `${name}, ${fault}`));
    const lengths = await lengthsSaid(visitor, address);
    read += lengths.read;
    faults.push(...lengths.faults.map((fault) => `${name}: ${fault}`));
    faults.push(...visitor.complaints.splice(0).map((complaint) => `${name}: ${complaint}`));
  }
  await visitor.leave();
  // Whoever reads nothing finds nothing.
  if (read < LEAST_READ) faults.push(`only ${read} lengths were read on all views`);
  return faults;
}

/** The demo says many more. */
const LEAST_READ = 300;
/** What a sizer is cut by a machine wants in millimetres. */
const FOR_MACHINES = /^\/gauges\/make/;
/** Tapes have inches alone: what goes around a balloon is said in them. */
const FOR_TAPES = /^\/shelf\/sheet/;
const METRIC = /[\d¼½¾⅛⅜⅝⅞][\u00a0 ]?(?:mm|cm)\b/g;
/** From two feet on lengths are said in feet and inches; the 36 in is a size as it is sold. */
const LONG_INCHES = /(?<![\d.,])(?!36 in)(?:2[5-9]|[3-9]\d|\d{3,})(?:[\u00a0 ]?[¼½¾⅛⅜⅝⅞])?[\u00a0 ]in\b/g;
const LENGTHS = /(?<![\d.,])[\d.]*[\d¼½¾⅛⅜⅝⅞][\u00a0 ](?:in|ft)\b/g;

/** What a page says of lengths that a studio of inches would not: centimetres, millimetres, and long ones in inches. */
async function lengthsSaid({ page }: Visitor, address: string): Promise<{ read: number; faults: string[] }> {
  const said = await page.evaluate(() => {
    const heard = [...document.querySelectorAll('[aria-label]')].map((node) => node.getAttribute('aria-label'));
    const drawn = [...document.querySelectorAll('svg text')].map((node) => node.textContent);
    const typed = [...document.querySelectorAll('input')].map(({ value }) => value);
    return [document.body.innerText, ...heard, ...drawn, ...typed].join('\n');
  });
  // A hint tells what else is understood.
  const own = said.replace(/Such as .*/g, '');
  const metric = FOR_MACHINES.test(address) ? [] : (own.match(METRIC) ?? []);
  const long = FOR_TAPES.test(address) ? [] : (own.match(LONG_INCHES) ?? []);
  return {
    read: own.match(LENGTHS)?.length ?? 0,
    faults: [...metric, ...long].map((text) => `a length said as ${text}`),
  };
}

async function faultsOf({ page }: Visitor, theme: Theme): Promise<string[]> {
  const { violations } = (await page.evaluate(
    `axe.run(document, { ...${JSON.stringify(RULES[theme])}, resultTypes: ['violations'] })`,
  )) as AxeResults;
  return violations.flatMap(({ id, nodes }) => nodes.map((node) => `${id}: ${node.html.slice(0, 160)}`));
}
