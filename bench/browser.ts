import puppeteer, { type Page } from 'puppeteer-core';

interface OpenOptions {
  chromium: string;
  address: string;
  width: number;
  height: number;
}

/** Opens a page in a browser of its own, and waits until it is quiet. */
export async function openPage({ chromium, address, width, height }: OpenOptions): Promise<Page> {
  const browser = await puppeteer.launch({
    executablePath: chromium,
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const page = await browser.newPage();
  const phone = width < 800;
  await page.setViewport({ width, height, isMobile: phone, hasTouch: phone });
  await page.goto(address, { waitUntil: 'networkidle2' });
  return page;
}

interface Watched extends Window {
  leggeroTasks: number[];
}

/** From now on notes every task of the page over 50 ms. */
export async function watchLongTasks(page: Page): Promise<void> {
  await page.evaluate(() => {
    const watched = window as unknown as Watched;
    watched.leggeroTasks = [];
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) watched.leggeroTasks.push(duration);
    }).observe({ type: 'longtask' });
  });
}

/** The longest task since, ms; 0 when none was over 50 ms. */
export async function longTasks(page: Page): Promise<number> {
  await page.waitForNetworkIdle({ idleTime: 1500, timeout: 60_000 });
  return page.evaluate(() => Math.max(0, ...(window as unknown as Watched).leggeroTasks));
}
