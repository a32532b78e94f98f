import { changeSchema } from './noun';
import { NOUNS, type RowOf } from './nouns';

export type TierRecord = RowOf<'tier'>;
export const tierPatchSchema = changeSchema(NOUNS.tier);
