import { changeSchema } from './noun';
import { NOUNS, type RowOf } from './nouns';

export type Studio = RowOf<'studio'>;
export const studioPatchSchema = changeSchema(NOUNS.studio);
