import { readdir, rm, stat } from 'node:fs/promises';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';

import type { KeptBackup } from '@leggero/contract/backup';
import { gt } from 'drizzle-orm';
import type { Logger } from 'pino';

import type { Database } from '../db/connect';
import { studios } from '../db/tables';
import { EXTENSION, HALF, stampOf, writeFile } from './file';
import { headOf } from './read';
import { BackupRefusal } from './refusal';
import { tryOut } from './restore';
import { keptOf } from './rotation';
import { backup } from './write';

/** How often it is looked whether one is due, ms, and from which hour of this machine's day on one is. */
const LOOK_MS = 10 * 60_000;
/** A start is not to wait for it. */
const FIRST_MS = 60_000;
/** How long an end waits for the one at hand; half of one is swept away later. */
const PATIENCE_MS = 3000;
const HALF_MS = 86_400_000;
const FROM_HOUR = 2;

/** What is said of one that could not be restored on trial, for lack of leave to make a database. */
const UNTRIED = '-untried';
const NAME = new RegExp(
  `^(\\d{4}-\\d\\d-\\d\\d)T(\\d\\d)\\.(\\d\\d)\\.(\\d\\d)(${UNTRIED})?${EXTENSION.replaceAll('.', '\\.')}$`,
);

interface KeeperOptions {
  database: Database;
  /** The same, as an address: a trial makes a database beside it. */
  url: string;
  /** Each studio has a folder of its own in it. */
  folder: string;
  logger: Logger;
  now?: () => Date;
}

/**
 * Makes a backup of every studio each night, unless nothing was written since the last, and lets old ones go. Each is
 * restored on trial before it counts: what cannot be restored is no backup.
 */
export class Keeper {
  private readonly timers: NodeJS.Timeout[] = [];
  private busy: Promise<void> | null = null;
  private readonly now: () => Date;
  /** Why the last one of a studio came to nothing. */
  private readonly failed = new Map<string, string>();

  constructor(private readonly options: KeeperOptions) {
    this.now = options.now ?? (() => new Date());
  }

  /** Looks now and then whether one is due, until it is stopped. */
  begin(): void {
    this.timers.push(
      setTimeout(() => void this.look(), FIRST_MS),
      setInterval(() => void this.look(), LOOK_MS),
    );
    for (const timer of this.timers) timer.unref();
  }

  /** Looks no longer; answers once what is being made is through, or takes too long. */
  async stop(): Promise<void> {
    for (const timer of this.timers.splice(0)) clearTimeout(timer);
    await Promise.race([this.busy, pause(PATIENCE_MS, null, { ref: false })]);
  }

  /** Makes what is due; one at a time. */
  look(): Promise<void> {
    this.busy ??= this.makeDue().finally(() => (this.busy = null));
    return this.busy;
  }

  /** The backups of a studio that are there, the newest first, and why the last try came to nothing. */
  async kept(studioId: string): Promise<{ kept: KeptBackup[]; problem: string | null }> {
    const files = await this.filesOf(studioId);
    const kept = await Promise.all(
      files.map(async ({ file, madeAt, tried }) => ({ madeAt, tried, bytes: (await stat(file)).size })),
    );
    return { kept, problem: this.failed.get(studioId) ?? null };
  }

  private async makeDue(): Promise<void> {
    const { database, logger } = this.options;
    try {
      const used = await database
        .select({ id: studios.id, revision: studios.revision })
        .from(studios)
        .where(gt(studios.revision, 0));
      for (const studio of used) if (await this.isDue(studio)) await this.make(studio.id);
    } catch (error) {
      logger.error({ err: error }, 'no backup could be made');
    }
  }

  /** Due is what has none, or none of this night, and was written to since. */
  private async isDue({ id, revision }: { id: string; revision: number }): Promise<boolean> {
    const [newest] = await this.filesOf(id);
    if (!newest) return true;
    const night = new Date(this.now());
    if (night.getHours() < FROM_HOUR) night.setDate(night.getDate() - 1);
    night.setHours(FROM_HOUR, 0, 0, 0);
    if (Date.parse(newest.madeAt) >= night.getTime()) return false;
    try {
      return (await headOf(newest.file)).revision !== revision;
    } catch (error) {
      // What can no longer be read is no backup: another one is due.
      if (error instanceof BackupRefusal) return true;
      throw error;
    }
  }

  private async make(studioId: string): Promise<void> {
    const { database, url, folder, logger } = this.options;
    const now = this.now();
    try {
      const pieces = backup(database, { studioId, signIn: true, now });
      await writeFile(path.join(folder, studioId), pieces, async (part) => {
        const tried = await isRestorable(url, part);
        logger.info({ studioId, tried }, 'backup made');
        return `${stampOf(now.toISOString())}${tried ? '' : UNTRIED}${EXTENSION}`;
      });
      this.failed.delete(studioId);
      await this.letOldGo(studioId);
    } catch (error) {
      this.failed.set(studioId, error instanceof BackupRefusal ? error.message : 'It could not be written.');
      logger.error({ err: error, studioId }, 'a backup could not be made');
    }
  }

  private async letOldGo(studioId: string): Promise<void> {
    const files = await this.filesOf(studioId);
    const kept = new Set(keptOf(files.map(({ madeAt }) => madeAt)));
    for (const { file, madeAt } of files) if (!kept.has(madeAt)) await rm(file, { force: true });
    const folder = path.join(this.options.folder, studioId);
    for (const name of await readdir(folder)) {
      const half = path.join(folder, name);
      if (name.endsWith(HALF) && Date.now() - (await stat(half)).mtimeMs > HALF_MS) await rm(half, { force: true });
    }
  }

  private async filesOf(studioId: string): Promise<{ file: string; madeAt: string; tried: boolean }[]> {
    const folder = path.join(this.options.folder, studioId);
    const names = await readdir(folder).catch((error: NodeJS.ErrnoException) => {
      // None yet; or something else stands where they should be, which making one will find.
      if (error.code === 'ENOENT' || error.code === 'ENOTDIR') return [];
      throw error;
    });
    const found = names.flatMap((name) => {
      const [all, day, hours, minutes, seconds, untried] = NAME.exec(name) ?? [];
      if (!all) return [];
      return [{ file: path.join(folder, name), madeAt: `${day}T${hours}:${minutes}:${seconds}.000Z`, tried: !untried }];
    });
    return found.toSorted((a, b) => b.madeAt.localeCompare(a.madeAt));
  }
}

/** Whether a backup was restored on trial; not, where no database may be made for it. Throws where it holds something else. */
async function isRestorable(url: string, file: string): Promise<boolean> {
  try {
    const { differ } = await tryOut({ url, file });
    if (differ.length > 0) throw new BackupRefusal('damaged');
    return true;
  } catch (error) {
    if (error instanceof BackupRefusal && error.why === 'noScratch') return false;
    throw error;
  }
}
