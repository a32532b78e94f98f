import type { PieceRecord, RowOf } from '@leggero/contract';
import { eq, isNotNull } from 'drizzle-orm';

import { checksOf } from '../check/store';
import type { Scope } from '../db/records';
import { groupBy } from '../db/shape';
import { checks } from '../db/tables';
import { listRows } from '../records/store';

/** All pieces, newest first, each with the checks of its balloons. */
export async function listPieces(scope: Scope): Promise<PieceRecord[]> {
  const [rows, checked] = await Promise.all([listRows(scope, 'piece'), checksOf(scope, isNotNull(checks.pieceId))]);
  const byPiece = groupBy(checked, ({ pieceId }) => pieceId ?? '');
  return rows.map((row) => ({ ...row, checks: byPiece.get(row.id) ?? [] }));
}

/** A piece with the checks of its balloons. */
export async function withChecks(scope: Scope, row: RowOf<'piece'>): Promise<PieceRecord> {
  return { ...row, checks: await checksOf(scope, eq(checks.pieceId, row.id)) };
}
