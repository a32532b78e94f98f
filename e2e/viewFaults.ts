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

/** What is wrong with any view in a window of this size: accessibility by day and evening, width, errors. */
export async function faultsOfViews({ world, viewport, way }: Tour): Promise<string[]> {
  const faults: string[] = [];
  const visitor = await world.visit('', viewport);
  // Whatever the page loads next has it from the start.
  await visitor.page.evaluateOnNewDocument(AXE);
  await visitor.goTo('/');
  for (const [name, address] of await viewsOf(world)) {
    await visitor.device('light');
    await visitor[way](address);
    for (const theme of ['light', 'dark'] as const) {
      await visitor.device(theme);
      await visitor.page.waitForFunction(
        (dark) => document.documentElement.classList.contains('dark') === dark,
        {},
        theme === 'dark',
      );
      faults.push(...(await faultsOf(visitor, theme)).map((fault) => `${name}, ${theme}: ${fault}`));
    }
    const over = await visitor.page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    if (over > 0) faults.push(`${name}: ${over} px wider than the window`);
    faults.push(...visitor.complaints.splice(0).map((complaint) => `${name}: ${complaint}`));
  }
  await visitor.leave();
  return faults;
}

async function faultsOf({ page }: Visitor, theme: Theme): Promise<string[]> {
  const { violations } = (await page.evaluate(
    `axe.run(document, { ...${JSON.stringify(RULES[theme])}, resultTypes: ['violations'] })`,
  )) as AxeResults;
  return violations.flatMap(({ id, nodes }) => nodes.map((node) => `${id}: ${node.html.slice(0, 160)}`));
}
