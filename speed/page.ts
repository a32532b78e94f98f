import type { ElementHandle, Page } from 'puppeteer-core';

interface Watched extends Window {
  leggeroTasks: { at: number; ms: number }[];
  /** What the browser tells of taps, and when what shows them was drawn, ms from each. */
  leggeroTaps: number[];
  leggeroShown: number[];
  leggeroDraws: number[];
}

/** From now on notes every task of the page over 50 ms. */
export async function watchLongTasks(page: Page): Promise<void> {
  await page.evaluate(noteLongTasks);
}

/** Notes them on every page that is opened from now on, from its beginning. */
export async function watchLongTasksFromStart(page: Page): Promise<void> {
  await page.evaluateOnNewDocument(noteLongTasks);
}

function noteLongTasks(): void {
  const watched = window as unknown as Watched;
  watched.leggeroTasks = [];
  new PerformanceObserver((list) => {
    for (const { startTime, duration } of list.getEntries()) watched.leggeroTasks.push({ at: startTime, ms: duration });
  }).observe({ type: 'longtask' });
}

/** The shortest that the browser tells of, ms. */
const SHORTEST_MS = 16;

interface Tapping {
  /** What is tapped. */
  selector: string;
  /** What tells by its text that a tap came; the frame that follows the tap is all that counts where none is named. */
  shows?: string;
  rounds: number;
  /** Between two of them, ms. */
  pauseMs: number;
}

/**
 * From a finger's leaving something to the frames that follow it, ms: as the browser tells (event timing, of the click
 * too where one comes of it), and until what shows the tap is drawn where that takes longer.
 */
export async function tapsOn(page: Page, { selector, shows, rounds, pauseMs }: Tapping): Promise<number[]> {
  await page.evaluate(noteTaps, SHORTEST_MS, shows ?? null);
  const taps: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    await touch(page, selector);
    await new Promise((resolve) => setTimeout(resolve, pauseMs));
    const { told, shown } = await page.evaluate(() => {
      const { leggeroTaps, leggeroShown } = window as unknown as Watched;
      return { told: leggeroTaps.splice(0), shown: leggeroShown.splice(0) };
    });
    if (shows !== undefined && shown.length === 0) throw new Error(`a tap on ${selector} is not shown by ${shows}`);
    // A quicker one leaves no entry: it counts as that.
    taps.push(Math.max(SHORTEST_MS, ...told, ...shown));
  }
  return taps;
}

function noteTaps(shortest: number, shows: string | null): void {
  const watched = window as unknown as Watched;
  [watched.leggeroTaps, watched.leggeroShown] = [[], []];
  new PerformanceObserver((list) => {
    for (const { name, duration } of list.getEntries())
      if (name === 'touchend' || name === 'click') watched.leggeroTaps.push(duration);
  }).observe({ type: 'event', durationThreshold: shortest } as PerformanceObserverInit);
  if (shows === null) return;
  const says = () => document.querySelector(shows)?.textContent;
  let tapped: { at: number; said: string | null | undefined } | null = null;
  window.addEventListener('touchend', ({ timeStamp }) => (tapped = { at: timeStamp, said: says() }), { capture: true });
  new MutationObserver(() => {
    if (tapped === null || says() === tapped.said) return;
    const { at } = tapped;
    tapped = null;
    requestAnimationFrame(() => {
      // The first thing after this frame is drawn.
      const note = () => watched.leggeroShown.push(performance.now() - at);
      void scheduler.postTask(note, { priority: 'user-blocking' });
    });
  }).observe(document.body, { subtree: true, childList: true, characterData: true });
}

/** The page is done when no long task came for so long. */
const QUIET_MS = 1500;

/** The longest task since, or since a moment of the page's own clock, ms; 0 when none was over 50 ms. */
export async function longTasks(page: Page, since = 0): Promise<number> {
  // Not by the network: a worker's own script never counts as loaded to the page.
  const seen = () => page.evaluate(() => (window as unknown as Watched).leggeroTasks.length);
  for (let before = -1, now = await seen(); now !== before; now = await seen()) {
    before = now;
    await new Promise((resolve) => setTimeout(resolve, QUIET_MS));
  }
  return page.evaluate((from) => {
    const later = (window as unknown as Watched).leggeroTasks.filter(({ at }) => at >= from);
    return Math.max(0, ...later.map(({ ms }) => ms));
  }, since);
}

interface Redrawing {
  /** What a hand does: the clock runs from this event. */
  on: 'click' | 'input';
  /** What is drawn anew. */
  drawing: string;
  rounds: number;
  act: (round: number) => Promise<void>;
  /** Between two of them, ms. */
  pauseMs: number;
}

/** From what a hand does to the drawing computed and drawn anew, its layout done, ms. */
export async function redrawsOf(page: Page, { on, drawing, rounds, act, pauseMs }: Redrawing): Promise<number[]> {
  await page.evaluate(
    (event, selector) => {
      const noted = window as unknown as Watched;
      noted.leggeroDraws = [];
      let began = 0;
      window.addEventListener(event, () => (began = performance.now()), { capture: true });
      new MutationObserver((changes) => {
        if (began === 0 || !changes.some(({ target }) => (target as Element).closest?.(selector))) return;
        // Asking for a measure makes the browser lay out what changed.
        document.body.getBoundingClientRect();
        noted.leggeroDraws.push(performance.now() - began);
        began = 0;
      }).observe(document.body, { subtree: true, childList: true, attributes: true });
    },
    on,
    drawing,
  );
  for (let round = 0; round < rounds; round += 1) {
    await act(round);
    await new Promise((resolve) => setTimeout(resolve, pauseMs));
  }
  return page.evaluate(() => (window as unknown as Watched).leggeroDraws);
}

/** The picture that this finds, once it is drawn in space and its still is gone. */
export async function drawnInSpace(page: Page, selector: string): Promise<ElementHandle<Element>> {
  const picture = (await page.waitForSelector(`[role="img"]${selector}`))!;
  await page.waitForFunction(
    (node) => node.querySelector('canvas') !== null && node.querySelector('svg')!.childElementCount === 0,
    {},
    picture,
  );
  return picture;
}

/** For so long a finger rests on the glass when it taps (from memory), ms. */
const RESTS_MS = 80;

/** A finger's tap on what this finds, once it is there. */
export async function touch(page: Page, selector: string): Promise<void> {
  const found = await page.waitForSelector(selector);
  await found!.scrollIntoView();
  const { x, y } = await found!.clickablePoint();
  const finger = await page.touchscreen.touchStart(x, y);
  await new Promise((resolve) => setTimeout(resolve, RESTS_MS));
  await finger.end();
}

/** Taps what has this role and name. */
export async function tap(page: Page, role: string, name: string): Promise<void> {
  const found = await page.waitForSelector(`::-p-aria([name="${name}"][role="${role}"])`);
  await found!.click();
}
