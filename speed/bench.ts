import type { ChildProcess } from 'node:child_process';
import { fork } from 'node:child_process';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

import puppeteer, { type Browser, type Page } from 'puppeteer-core';

import type { Figure } from './figure';

const HERE = path.dirname(fileURLToPath(import.meta.url));

/** A demo on free ports. */
export interface World {
  url: string;
  databaseUrl: string;
  /** The server's process. */
  pid: number;
}

export interface Window {
  width: number;
  height: number;
}

/** How long a page may take to come, or to show what is waited for: beside other work a machine is slow, not broken. */
const PATIENCE_MS = 120_000;

export const PHONE: Window = { width: 390, height: 844 };
export const DESKTOP: Window = { width: 1280, height: 800 };

/** What each part measures with; whatever it opens is ended for it. */
export interface Bench {
  /** Only whether everything runs is asked: little of everything, and figures that say nothing. */
  smoke: boolean;
  /** So many rounds; in a smoke one. */
  rounds(full: number): number;
  report(figure: Figure): void;
  /** A demo that parts share which leave it as it is. */
  world(): Promise<World>;
  /** A demo of its own, for a part that changes it; `env`: what its server is told besides. */
  freshWorld(env?: Record<string, string>): Promise<World>;
  /** An empty page in a browser of its own. */
  blank(): Promise<Page>;
  /** A page in a browser of its own, once the network is quiet. */
  open(address: string, window: Window): Promise<Page>;
}

interface BenchOptions {
  chromium: string;
  /** What it is started with, as for a test. */
  flags: string[];
  smoke: boolean;
}

/** The bench of one run. `endPart` closes what a part has opened, `end` all that is left. */
export function benchOf({ chromium, flags, smoke }: BenchOptions) {
  const figures: Figure[] = [];
  const browsers: Browser[] = [];
  const fresh: (() => Promise<void>)[] = [];
  let shared: Promise<World & { end: () => Promise<void> }> | undefined;
  const bench: Bench = {
    smoke,
    rounds: (full) => (smoke ? 1 : full),
    report: (figure) => void figures.push(figure),
    world: () => (shared ??= startWorld()),
    async freshWorld(env) {
      // What a smoke changes nobody measures.
      if (smoke && !env) return bench.world();
      const { end, ...world } = await startWorld(env);
      fresh.push(end);
      return world;
    },
    async blank() {
      const browser = await puppeteer.launch({ executablePath: chromium, args: flags });
      browsers.push(browser);
      const page = await browser.newPage();
      page.setDefaultTimeout(PATIENCE_MS);
      return page;
    },
    async open(address, { width, height }) {
      const page = await bench.blank();
      const phone = width < 800;
      await page.setViewport({ width, height, isMobile: phone, hasTouch: phone });
      await page.goto(address, { waitUntil: 'networkidle2' });
      return page;
    },
  };
  const endPart = async () => {
    await Promise.all(browsers.splice(0).map((browser) => browser.close()));
    await Promise.all(fresh.splice(0).map((end) => end()));
  };
  const end = async () => {
    await endPart();
    if (shared) await (await shared).end();
  };
  return { bench, figures, endPart, end };
}

async function startWorld(env = {}): Promise<World & { end: () => Promise<void> }> {
  const child: ChildProcess = fork(path.join(HERE, '../scripts/world.mjs'), ['demo', 'alone'], {
    execArgv: [],
    env: { ...process.env, ...env },
  });
  const place = await new Promise<World>((resolve, reject) => {
    child.once('message', (message) => resolve(message as World));
    child.once('exit', () => reject(new Error('the world ended as it started')));
  });
  const end = () =>
    new Promise<void>((resolve) => {
      child.once('exit', () => resolve());
      child.disconnect();
    });
  return { ...place, end };
}
