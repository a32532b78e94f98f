import { z } from 'zod';

import { checkSchema } from './check';
import { NOUNS, type RowOf } from './nouns';

/** A piece with the checks of its balloons, newest first. */
export const pieceSchema = NOUNS.piece.row.extend({ checks: z.array(checkSchema) });
export type PieceRecord = z.infer<typeof pieceSchema>;

export type ChainRecord = RowOf<'chain'>;
