import type { ChainRecord, CheckRecord, PieceCreate, PiecePatch, PieceRecord } from '@leggero/contract';
import { chainProblem } from '@leggero/core/linking';
import { desc, eq } from 'drizzle-orm';

import { checksOf } from '../check/store';
import { changeOwned, insertOnce, readOwned, type Scope } from '../db/records';
import { chains, models, pieces } from '../db/tables';
import { groupBy } from '../db/shape';
import { HttpProblem } from '../http/problem';

function pieceOf(row: typeof pieces.$inferSelect, checks: CheckRecord[]): PieceRecord {
  const { studioId: _, createdAt, ...rest } = row;
  return { ...rest, createdAt: createdAt.toISOString(), checks };
}

function chainOf({ studioId: _, takenAt, ...rest }: typeof chains.$inferSelect): ChainRecord {
  return { ...rest, takenAt: takenAt.toISOString() };
}

/** All pieces, newest first, each with the checks of its balloons. */
export async function listPieces(scope: Scope): Promise<PieceRecord[]> {
  const { database, studioId } = scope;
  const [rows, checks] = await Promise.all([
    database.select().from(pieces).where(eq(pieces.studioId, studioId)).orderBy(desc(pieces.createdAt)),
    checksOf(scope, 'pieces'),
  ]);
  const byPiece = groupBy(checks, ({ pieceId }) => pieceId ?? '');
  return rows.map((row) => pieceOf(row, byPiece.get(row.id) ?? []));
}

/** Creates a piece; repeated, answers it as it is by then. */
export async function createPiece(scope: Scope, create: PieceCreate): Promise<{ row: PieceRecord; created: boolean }> {
  const { row, created } = await insertOnce(scope, pieces, {
    ...create,
    createdAt: new Date(create.createdAt),
  });
  return { row: await withChecks(scope, row), created };
}

/** Changes a piece's name or design. */
export async function changePiece(scope: Scope, id: string, change: PiecePatch): Promise<PieceRecord> {
  return withChecks(scope, await changeOwned(scope, pieces, id, change));
}

async function withChecks(scope: Scope, row: typeof pieces.$inferSelect): Promise<PieceRecord> {
  const checks = await checksOf(scope, 'pieces');
  return pieceOf(
    row,
    checks.filter(({ pieceId }) => pieceId === row.id),
  );
}

/** All measured chains, newest first. */
export async function listChains({ database, studioId }: Scope): Promise<ChainRecord[]> {
  const rows = await database.select().from(chains).where(eq(chains.studioId, studioId)).orderBy(desc(chains.takenAt));
  return rows.map(chainOf);
}

/** Keeps a measured chain of one of the studio's balloons; refuses a length that no such chain has. */
export async function createChain(scope: Scope, create: ChainRecord): Promise<{ row: ChainRecord; created: boolean }> {
  await readOwned(scope, models, create.modelId);
  const wrong = chainProblem(create);
  if (wrong) {
    throw HttpProblem.unusable({ path: wrong.field, message: 'No chain of so many balloons is so long' });
  }
  const { row, created } = await insertOnce(scope, chains, { ...create, takenAt: new Date(create.takenAt) });
  return { row: chainOf(row), created };
}
