import type { Deed, DeedRow, Deeds } from '@leggero/contract/deed';
import { and, desc, eq, lt, sql } from 'drizzle-orm';

import type { Database } from '../db/connect';
import type { Scope } from '../db/records';
import { deeds } from '../db/tables';

/** Deeds of a page. */
const PAGE = 50;
/** How long one is kept. */
const KEPT_DAYS = 366;
const DAY_MS = 86_400_000;

const TOLD = {
  ...{ id: deeds.id, at: deeds.at, accountId: deeds.accountId, name: deeds.name, told: deeds.told, count: deeds.count },
  ...{ undoneBy: deeds.undoneBy, undoes: deeds.undoes, revision: deeds.revision },
  canUndo: sql`${deeds.kept} is not null and ${deeds.undoneBy} is null`.mapWith(Boolean),
};

type Told = { [Field in keyof typeof TOLD]: unknown };

/** A deed as it is told. */
function deedOf(row: Told): Deed {
  const { id, at, accountId, name, told, count, canUndo, undoneBy, undoes } = row as Omit<Deed, 'by' | 'rows'> & {
    accountId: string | null;
    name: string | null;
    told: DeedRow[];
  };
  return {
    id,
    at,
    by: accountId && { id: accountId, name: name ?? '' },
    rows: told,
    count,
    canUndo,
    undoneBy,
    undoes,
  } as Deed;
}

/** What was done in a studio, the newest first, page by page. */
export async function listDeeds(
  { database, studioId }: Scope,
  { before, by }: { before?: number | undefined; by?: string | undefined },
): Promise<Deeds> {
  const which = and(
    eq(deeds.studioId, studioId),
    eq(deeds.isPrivate, false),
    before === undefined ? undefined : lt(deeds.revision, before),
    by === undefined ? undefined : eq(deeds.accountId, by),
  );
  const rows = await database
    .select(TOLD)
    .from(deeds)
    .where(which)
    .orderBy(desc(deeds.revision))
    .limit(PAGE + 1);
  const page = rows.slice(0, PAGE);
  return { deeds: page.map(deedOf), more: rows.length > PAGE ? page.at(-1)!.revision : null };
}

/** One that is told; null where there is none by that id. */
export async function findDeed({ database, studioId }: Scope, id: string): Promise<Deed | null> {
  const [row] = await database
    .select(TOLD)
    .from(deeds)
    .where(and(eq(deeds.id, id), eq(deeds.studioId, studioId), eq(deeds.isPrivate, false)));
  return row ? deedOf(row) : null;
}

/** Forgets what was done long ago. */
export async function forgetOldDeeds(database: Database): Promise<void> {
  await database.delete(deeds).where(lt(deeds.at, new Date(Date.now() - KEPT_DAYS * DAY_MS).toISOString()));
}
