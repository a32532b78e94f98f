import type { Browser, BrowserContext, ElementHandle, Page, Protocol } from 'puppeteer-core';

import { LOOK_MS, PATIENCE_MS, until } from './waiting';

export const PHONE = { width: 390, height: 844, hasTouch: true, isMobile: true, deviceScaleFactor: 1 };
export const WIDE = { width: 1280, height: 800 };
export type Viewport = typeof PHONE | typeof WIDE;

/** So often something is tapped that moves away under the finger. */
const MOST_TRIES = 8;

/** A new page that waits for whatever it is asked to as long as a busy machine takes. */
async function patientPage(context: BrowserContext): Promise<Page> {
  const page = await context.newPage();
  page.setDefaultTimeout(PATIENCE_MS);
  return page;
}

interface OpenOptions {
  browser: Browser;
  /** Where the world is. */
  home: string;
  /** The page in it, such as `/shelf`; none is opened where it is empty. */
  address: string;
  viewport: Viewport;
  /** The browser keeps the app and fetches its pages ahead; else it saves data, and keeps none as over plain HTTP. */
  keepsApp: boolean;
}

/** A page as a person has it: finds things by role and name, taps, reads. Remembers what the console complained of. */
export class Visitor {
  readonly complaints: string[] = [];

  private constructor(
    readonly page: Page,
    private readonly home: string,
    private readonly keepsApp: boolean,
  ) {
    page.on('pageerror', (error) => this.complaints.push(String(error)));
    page.on('console', (message) => {
      // A refused or failed request is logged by the browser itself; the app speaks for it on the page.
      if (message.type() === 'error' && !/Failed to load resource/.test(message.text()))
        this.complaints.push(message.text());
    });
  }

  static async open({ browser, home, address, viewport, keepsApp }: OpenOptions): Promise<Visitor> {
    const context = await browser.createBrowserContext();
    const visitor = new Visitor(await patientPage(context), home, keepsApp);
    await visitor.begin(viewport, address);
    return visitor;
  }

  private async begin(viewport: Viewport, address: string): Promise<void> {
    await this.page.setViewport(viewport);
    if (!this.keepsApp) await this.page.evaluateOnNewDocument(keepNoApp);
    if (address) await this.goTo(address);
  }

  /** A second tab of the same browser, on a page. */
  async anotherTab(address: string): Promise<Visitor> {
    const visitor = new Visitor(await patientPage(this.page.browserContext()), this.home, this.keepsApp);
    await visitor.begin(this.page.viewport() as Viewport, address);
    return visitor;
  }

  /** Has every page that is opened from now on begin at this moment, ms since 1970: what it counts by days stands still. */
  async beginAt(moment: number): Promise<void> {
    await this.page.evaluateOnNewDocument((at) => {
      const now = Date.now.bind(Date);
      const off = at - now();
      Date.now = () => now() + off;
    }, moment);
  }

  /** Opens a page of the world by its address, and waits until all of it has come. */
  async goTo(address: string): Promise<void> {
    await this.page.goto(`${this.home}${address}`, { waitUntil: 'domcontentloaded' });
    await this.settled();
  }

  /** Goes to an address from within the app, as a link there does, and waits until all of its page has come. */
  async follow(address: string): Promise<void> {
    await this.page.evaluate(async (to) => {
      history.pushState(null, '', to);
      window.dispatchEvent(new PopStateEvent('popstate'));
      for (let frame = 0; frame < 2; frame += 1) await new Promise(requestAnimationFrame);
    }, address);
    await this.settled();
  }

  async reload(): Promise<void> {
    await this.page.reload({ waitUntil: 'domcontentloaded' });
    await this.settled();
  }

  /** Waits until a page is there, nothing in it is still on its way, and every entry has been delivered. */
  async settled(): Promise<void> {
    await this.page
      .waitForFunction(
        () =>
          document.documentElement.dataset['settled'] === location.pathname &&
          // Pages left behind stay in the document, unseen.
          [...document.querySelectorAll('[role=main], [role=alert]')].some((page) => page.checkVisibility()) &&
          // A detail beside its list comes with code of its own.
          document.querySelector<HTMLElement>('#detail')?.innerText.trim() !== '' &&
          document.querySelector('[aria-busy=true]') === null,
        { timeout: PATIENCE_MS, polling: LOOK_MS },
      )
      .catch(async () => {
        throw new Error(`never settled at ${this.page.url()}:\n${await this.text()}`);
      });
  }

  /** The theme of the device, which the app follows unless told otherwise. */
  device(theme: 'light' | 'dark'): Promise<void> {
    return this.page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: theme }]);
  }

  /** Leaves for good. */
  leave(): Promise<void> {
    return this.page.browserContext().close();
  }

  /** The visible element of this role and name. */
  find(role: string, name: string): Promise<ElementHandle<Element>> {
    return until(
      async () => {
        const found = await this.page.$(`::-p-aria([name="${name}"][role="${role}"])`).catch(passing);
        return (await found?.isVisible().catch(passing)) ? found : null;
      },
      async () => `no ${role} called ${name} in:\n${await this.text()}`,
    );
  }

  async tap(role: string, name: string): Promise<void> {
    for (let tries = 0; tries < MOST_TRIES; tries += 1) {
      // What is drawn anew meanwhile is another element.
      const element = await this.find(role, name);
      await element.evaluate(inReach);
      const guard = await element.evaluateHandle(letThroughTo);
      const there = await (this.page.viewport()?.hasTouch ? element.tap() : element.click()).then(() => true, gone);
      // Where the tap leads to another page nothing is left to ask. Left standing, it would keep every later tap away.
      const missed = await guard.evaluate((end) => end()).catch(passing);
      if (there && !missed) return;
    }
    throw new Error(`${role} called ${name} never stays where it is tapped, or lies under something else`);
  }

  /** Drags a row of a list by its grip onto another, and lets go once it is said to be there. */
  async drag(row: string, onto: string): Promise<void> {
    await (await this.find('button', `Drag ${row}`)).evaluate(inReach);
    const { mouse } = this.page;
    const from = await this.middleOf(`Drag ${row}`);
    await mouse.move(from.x, from.y);
    await mouse.down();
    // Rows may still grow while they are dragged over: then it is aimed anew.
    for (let over = false, tries = 0; !over; tries += 1) {
      if (tries === MOST_TRIES) throw new Error(`${row} never comes over ${onto}`);
      const to = await this.middleOf(`Drag ${onto}`);
      await mouse.move(to.x, to.y, { steps: 12 });
      over = await this.hears(`${row} is over ${onto}.`, PATIENCE_MS / MOST_TRIES);
    }
    await mouse.up();
    if (!(await this.hears(`${row} is put where ${onto} was.`))) throw new Error(`${row} was not put down`);
  }

  /** Whether who listens to the page is soon told this. */
  private hears(text: string, timeout = PATIENCE_MS): Promise<boolean> {
    return this.page
      .waitForFunction(
        (told) => [...document.querySelectorAll('[role=status]')].some(({ textContent }) => textContent === told),
        { timeout, polling: LOOK_MS },
        text,
      )
      .then(
        () => true,
        () => false,
      );
  }

  /** Scrolls until this heading is in the middle, as who wants to read on does. */
  async looksAt(heading: string): Promise<void> {
    await (await this.find('heading', heading)).evaluate(inReach);
  }

  private async middleOf(name: string): Promise<{ x: number; y: number }> {
    const box = await (await this.find('button', name)).boundingBox();
    return box ? { x: box.x + box.width / 2, y: box.y + box.height / 2 } : { x: 0, y: 0 };
  }

  /** Clicks on the first thing that shows this text. */
  async tapText(text: string): Promise<void> {
    const found = await this.page.waitForSelector(`::-p-text(${text})`, { visible: true });
    if (!found) throw new Error(`nothing says ${text}`);
    await found.evaluate((node) => node.scrollIntoView({ block: 'center' }));
    await found.click();
  }

  async type(name: string, text: string): Promise<void> {
    const field = await this.find('textbox', name);
    await field.evaluate(inReach);
    await field.click();
    // What is said of the field before may have moved this one from under a second click.
    await field.evaluate((node) => (node as HTMLInputElement).select());
    await field.type(text);
  }

  /** Waits until the page says this. */
  async sees(text: string | RegExp): Promise<void> {
    const source = typeof text === 'string' ? text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&') : text.source;
    await this.page
      .waitForFunction(
        (pattern) => new RegExp(pattern).test(document.body.innerText),
        { timeout: PATIENCE_MS, polling: LOOK_MS },
        source,
      )
      .catch(async () => {
        throw new Error(`never saw ${source} in:\n${await this.text()}`);
      });
  }

  /** A piece's picture once it is drawn in space. */
  async drawnInSpace(label: string): Promise<ElementHandle<Element>> {
    const picture = await this.picture(label);
    await this.page.waitForFunction(
      (node) => node.querySelector('canvas') !== null && node.querySelector('svg')!.childElementCount === 0,
      { timeout: PATIENCE_MS, polling: LOOK_MS },
      picture,
    );
    return picture;
  }

  private async picture(label: string): Promise<ElementHandle<Element>> {
    const picture = await this.page.waitForSelector(`[role="img"][aria-label^="${label}"]`);
    await picture!.evaluate((node) => node.scrollIntoView({ block: 'center' }));
    return picture!;
  }

  /** Where the balloons of a picture are, px, from the farthest to the nearest: as they are drawn on paper. */
  async balloonsIn(label: string): Promise<{ x: number; y: number; wide: number; fill: string }[]> {
    await this.drawnInSpace(label);
    const balloons = await this.onPaper(label, (picture) =>
      picture.$$eval('ellipse[stroke-width]', (all) =>
        all.map((each) => {
          const { x, y, width, height } = each.getBoundingClientRect();
          return { x: x + width / 2, y: y + height / 2, wide: width, fill: each.getAttribute('fill')! };
        }),
      ),
    );
    await this.drawnInSpace(label);
    return balloons;
  }

  /** Asks something of the picture of this label while it is as it would be printed. */
  async onPaper<Answer>(label: string, of: (picture: ElementHandle<Element>) => Promise<Answer>): Promise<Answer> {
    const picture = await this.picture(label);
    await this.page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
    const answer = await of(picture);
    await this.page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
    return answer;
  }

  text(): Promise<string> {
    return this.page.evaluate(() => document.body.innerText);
  }

  /** The value of the dial of this name, mm. */
  async dial(name: string): Promise<number> {
    return (await this.find('slider', name)).evaluate((node) => Number(node.getAttribute('aria-valuenow')));
  }

  /** Lets what the page saves land in a folder, and waits until all of it is there. */
  async saved(folder: string, save: () => Promise<void>): Promise<string> {
    const session = await this.page.createCDPSession();
    const browserContextId = this.page.browserContext().id;
    await session.send('Browser.setDownloadBehavior', {
      behavior: 'allow',
      downloadPath: folder,
      eventsEnabled: true,
      ...(browserContextId ? { browserContextId } : {}),
    });
    let now: Protocol.Browser.DownloadProgressEvent | undefined;
    session.on('Browser.downloadProgress', (progress) => {
      now = progress;
    });
    await save();
    const { filePath } = await until(
      () => now?.state === 'completed' && now,
      async () => `nothing was saved${now ? ` (${now.state})` : ''} in:\n${await this.text()}`,
    );
    await session.detach();
    if (!filePath) throw new Error('the browser does not tell where it saved');
    return filePath;
  }

  /** Taps a button that asks for a file, and gives it one. */
  async give(button: string, file: string): Promise<void> {
    const [chooser] = await Promise.all([this.page.waitForFileChooser(), this.tap('button', button)]);
    await chooser.accept([file]);
  }

  path(): string {
    return new URL(this.page.url()).pathname;
  }
}

/** What is drawn anew, or away, as it is tapped has no place any more; what else goes wrong is told. */
function gone(error: unknown): false {
  if (/not clickable|detached/i.test(String(error))) return false;
  throw error;
}

/** While a page becomes another one nothing is found in it; what else goes wrong is told. */
function passing(error: unknown): null {
  if (/context was destroyed|Cannot find context|detached|Could not find node/i.test(String(error))) return null;
  throw error;
}

/** In the page: brings an element into the middle of the window, and waits until it stays there, as a hand does. */
async function inReach(node: Element): Promise<void> {
  node.scrollIntoView({ block: 'center' });
  const STILL_FRAMES = 3;
  const MOST_FRAMES = 120;
  let [before, still] = ['', 0];
  for (let frame = 0; frame < MOST_FRAMES && still < STILL_FRAMES; frame += 1) {
    await new Promise(requestAnimationFrame);
    const { x, y, width, height } = node.getBoundingClientRect();
    const now = [x, y, width, height].join(' ');
    still = now === before ? still + 1 : 0;
    before = now;
  }
}

/**
 * In the page: until it is ended, what hits anything but this element is kept from the page, which may have moved under
 * the finger. Ending it answers whether something was.
 */
function letThroughTo(node: Element): () => boolean {
  const EVENTS = ['pointerdown', 'pointerup', 'touchstart', 'touchend', 'mousedown', 'mouseup', 'click'];
  let missed = false;
  const guard = (event: Event) => {
    if (event.target instanceof Node && node.contains(event.target)) return;
    missed = true;
    event.preventDefault();
    event.stopImmediatePropagation();
  };
  for (const name of EVENTS) window.addEventListener(name, guard, { capture: true, passive: false });
  return () => {
    for (const name of EVENTS) window.removeEventListener(name, guard, { capture: true });
    return missed;
  };
}

/** In the page: most journeys need no more of the app than its page, and all of it takes a machine a second or two. */
function keepNoApp(): void {
  delete (Navigator.prototype as { serviceWorker?: unknown }).serviceWorker;
  Object.defineProperty(navigator, 'connection', { value: { saveData: true } });
}
