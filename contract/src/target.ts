import { idSchema } from './common';
import { NOUNS, type RowOf } from './nouns';

export type AcceptedTarget = RowOf<'target'>;

export const acceptedTargetCreateSchema = NOUNS.target.row
  .omit({ revision: true, tierId: true })
  .extend({ tierId: idSchema });
