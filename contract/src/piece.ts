import { z } from 'zod';

import { checkSchema } from './check';
import { changeSchema, makeSchema } from './noun';
import { NOUNS, type RowOf } from './nouns';

/** A piece of linking work with the checks of its balloons, newest first. */
export const pieceSchema = NOUNS.piece.row.extend({ checks: z.array(checkSchema) });
export type PieceRecord = z.infer<typeof pieceSchema>;

export const pieceCreateSchema = makeSchema(NOUNS.piece);
export const piecePatchSchema = changeSchema(NOUNS.piece);

export type ChainRecord = RowOf<'chain'>;
