import { fork, type ChildProcess } from 'node:child_process';
import { readdirSync } from 'node:fs';
import path from 'node:path';

import puppeteer, { type Browser, type ElementHandle, type Page } from 'puppeteer-core';

/** A whole Leggero of its own, driven from outside. */
export interface World {
  url: string;
  tell(command: 'stop-database' | 'start-database' | 'restart-service'): Promise<void>;
  end(): Promise<void>;
}

/** Starts database, server and app on free ports: with the demo, or with an empty studio. */
export async function startWorld(kind: 'demo' | 'empty'): Promise<World> {
  const child: ChildProcess = fork(path.join(__dirname, '../scripts/world.mjs'), [kind], { execArgv: [] });
  const { url } = await new Promise<{ url: string }>((resolve, reject) => {
    child.once('message', (message) => resolve(message as { url: string }));
    child.once('exit', () => reject(new Error('the world ended as it started')));
  });
  let count = 0;
  return {
    url,
    tell(command) {
      const id = ++count;
      return new Promise((resolve) => {
        const listen = (message: unknown) => {
          if ((message as { done?: number }).done !== id) return;
          child.off('message', listen);
          resolve();
        };
        child.on('message', listen);
        child.send({ command, id });
      });
    },
    end() {
      const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
      child.disconnect();
      return ended;
    },
  };
}

export const PHONE = { width: 390, height: 844, hasTouch: true, isMobile: true, deviceScaleFactor: 1 };
export const WIDE = { width: 1280, height: 800 };

/** Opens Chromium as the tests have it: no calls of its own to the outside. */
export function openBrowser(): Promise<Browser> {
  const executablePath = process.env['LEGGERO_CHROMIUM'];
  if (!executablePath) throw new Error('run the journeys with npm run test:e2e');
  return puppeteer.launch({
    executablePath,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
}

/** A page as a person has it: finds things by role and name, taps, reads. Remembers what the console complained of. */
export class Visitor {
  readonly complaints: string[] = [];

  private constructor(readonly page: Page) {
    page.on('pageerror', (error) => this.complaints.push(String(error)));
    page.on('console', (message) => {
      // A refused or failed request is logged by the browser itself; the app speaks for it on the page.
      if (message.type() === 'error' && !/Failed to load resource/.test(message.text()))
        this.complaints.push(message.text());
    });
  }

  static async open(browser: Browser, address: string, viewport: typeof PHONE | typeof WIDE): Promise<Visitor> {
    const context = await browser.createBrowserContext();
    const visitor = new Visitor(await context.newPage());
    await visitor.page.setViewport(viewport);
    await visitor.page.goto(address, { waitUntil: 'networkidle2' });
    return visitor;
  }

  /** The visible element of this role and name. */
  async find(role: string, name: string): Promise<ElementHandle<Element>> {
    const found = await this.page.waitForSelector(`::-p-aria([name="${name}"][role="${role}"])`, {
      visible: true,
      timeout: 10_000,
    });
    if (!found) throw new Error(`no ${role} called ${name}`);
    return found;
  }

  async tap(role: string, name: string): Promise<void> {
    const element = await this.find(role, name);
    await element.evaluate((node) => node.scrollIntoView({ block: 'center' }));
    if (this.page.viewport()?.hasTouch) await element.tap();
    else await element.click();
  }

  /** Clicks on the first thing that shows this text. */
  async tapText(text: string): Promise<void> {
    await this.page.locator(`::-p-text(${text})`).click();
  }

  async type(name: string, text: string): Promise<void> {
    const field = await this.find('textbox', name);
    await field.click({ count: 3 });
    await field.type(text);
  }

  /** Waits until the page says this. */
  async sees(text: string | RegExp): Promise<void> {
    const source = typeof text === 'string' ? text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&') : text.source;
    await this.page
      .waitForFunction((pattern) => new RegExp(pattern).test(document.body.innerText), { timeout: 10_000 }, source)
      .catch(async () => {
        throw new Error(`never saw ${source} in:\n${await this.text()}`);
      });
  }

  text(): Promise<string> {
    return this.page.evaluate(() => document.body.innerText);
  }

  /** The value of the dial of this name, mm. */
  async dial(name: string): Promise<number> {
    return (await this.find('slider', name)).evaluate((node) => Number(node.getAttribute('aria-valuenow')));
  }

  /** Lets what the page saves land in a folder, and waits for the next file there. */
  async saved(folder: string, save: () => Promise<void>): Promise<string> {
    const session = await this.page.createCDPSession();
    const browserContextId = this.page.browserContext().id;
    await session.send('Browser.setDownloadBehavior', {
      behavior: 'allow',
      downloadPath: folder,
      ...(browserContextId ? { browserContextId } : {}),
    });
    const before = new Set(readdirSync(folder));
    await save();
    for (let i = 0; i < 100; i += 1) {
      const fresh = readdirSync(folder).find((name) => !before.has(name) && !name.endsWith('.crdownload'));
      if (fresh) return path.join(folder, fresh);
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error('nothing was saved');
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
